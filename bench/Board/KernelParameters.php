<?php

declare(strict_types=1);

namespace Bench\Board;

/** What the kernel makes of the first line of cmdline.txt. */
final readonly class KernelParameters
{
    private function __construct(public ?string $address, public string $hostname, public bool $lostRoot)
    {
    }

    public static function from(?string $text): self
    {
        $lines = explode("\n", str_replace("\r", '', $text ?? ''));
        $words = explode(' ', $lines[0]);
        $lost = str_contains($text ?? '', 'root=') && preg_grep('/^root=/', $words) === [];
        foreach ($words as $word) {
            if (
                preg_match('/^ip=([\d.]+):[^:]*:[\d.]*:[\d.]+:([^:]*):[^:]*:(?:off|none)$/', $word, $match) === 1 &&
                filter_var($match[1], FILTER_VALIDATE_IP) !== false
            ) {
                return new self($match[1], $match[2], $lost);
            }
        }

        return new self(null, '', $lost);
    }
}
