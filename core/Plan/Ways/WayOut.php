<?php

declare(strict_types=1);

namespace Burrow\Plan\Ways;

use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\PlanInput;
use Burrow\Plan\StartFrom;

/** One or two changes that cure a plan, what they cost more (or less), and the plan they make. */
final readonly class WayOut
{
    /**
     * @param  non-empty-array<string, mixed>  $changes  name of the part => what it becomes
     * @param  list<string>  $leaves  what still stops or warns with it
     * @param  int  $notes  how many notes the changed plan has
     */
    public function __construct(
        public PlanInput $plan,
        public array $changes,
        public int $cents,
        public array $leaves,
        public int $notes,
        public Toll $toll,
    ) {
    }

    /**
     * "costs 4.00 more", "saves 23.00" or "costs no more".
     *
     * @param  string  $currency  stands behind the amount, with a blank before it
     */
    public function price(string $currency = ''): string
    {
        $amount = number_format(abs($this->cents) / 100, 2, '.', '');

        return match (true) {
            $this->cents === 0 => 'costs no more',
            $this->cents < 0 => "saves {$amount}{$currency}",
            default => "costs {$amount}{$currency} more",
        };
    }

    /** "Supply, 5.1 V 3 A, and Usual cable, 24 AWG, 1 m" */
    public function sentence(): string
    {
        return implode(', and ', $this->labels());
    }

    /** @return array<string, string> name of the part => what it becomes, in words */
    public function labels(): array
    {
        $labels = [];
        foreach ($this->changes as $name => $part) {
            $labels[$name] = match (true) {
                $part instanceof LinkKind, $part instanceof StartFrom => $part->label(),
                $part instanceof ImageOrigin => "the image from {$part->label()}",
                is_object($part) && isset($part->label) => (string) $part->label,
                $name === 'along' => 'a supply for this box alone',
                $name === 'plugged' => 'fewer things plugged in',
                default => [
                    'drive' => 'no disk',
                    'addOn' => 'no add-on',
                    'hub' => 'no hub',
                    'cooling' => 'no cooling',
                ][$name] ?? "no {$name}",
            };
        }

        return $labels;
    }
}
