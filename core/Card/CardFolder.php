<?php

declare(strict_types=1);

namespace Burrow\Card;

/** The files on a card's boot partition that matter at first boot, by name. */
final readonly class CardFolder
{
    /** Names that the first start looks for. */
    public const KNOWN = [
        'user-data',
        'meta-data',
        'network-config',
        'cmdline.txt',
        'config.txt',
        'ssh',
        'userconf.txt',
        'wpa_supplicant.conf',
    ];

    /** @param  array<string, string>  $files name => content */
    public function __construct(public array $files)
    {
    }

    public function has(string $name): bool
    {
        return isset($this->files[$name]);
    }

    public function text(string $name): string
    {
        return $this->files[$name] ?? '';
    }

    /** @return list<string> without BOM and with LF line ends; the first is line 1 */
    public function lines(string $name): array
    {
        return explode("\n", rtrim(str_replace(["\xEF\xBB\xBF", "\r"], '', $this->text($name)), "\n"));
    }
}
