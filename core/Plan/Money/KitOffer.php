<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Catalogue\Part\Kit;
use Burrow\Quantity\Money;

/** A kit against the single parts of a plan that it replaces. */
final readonly class KitOffer
{
    /** @param  non-empty-list<Part>  $replaces  parts that would otherwise be bought one by one */
    private function __construct(public Kit $kit, public array $replaces)
    {
    }

    /**
     * Kits that hold at least two of the parts still to be bought, the most saving first.
     *
     * @param  list<Kit>  $kits
     * @param  list<string>  $drawer  labels of parts that are there already
     * @return list<self>
     */
    public static function among(array $kits, PartsList $parts, array $drawer): array
    {
        $offers = [];
        foreach ($kits as $kit) {
            $replaces = array_values(
                array_filter(
                    $parts->missing($drawer),
                    fn (Part $part): bool => in_array($part->key, $kit->holds, true),
                ),
            );
            if (count($replaces) >= 2 && $kit->market->available) {
                $offers[] = new self($kit, $replaces);
            }
        }
        usort($offers, fn (self $a, self $b): int => $a->cents() <=> $b->cents());

        return $offers;
    }

    /** What the kit costs more than the singles, in cents; negative when it saves. */
    public function cents(): int
    {
        return $this->kit->price->cents - $this->singles()->cents;
    }

    public function singles(): Money
    {
        return PartsList::sum($this->replaces);
    }

    /** Number of parts in it that the plan has no use for. */
    public function left(): int
    {
        return count($this->kit->holds) - count($this->replaces);
    }

    public function sentence(): string
    {
        $amount = number_format(abs($this->cents()) / 100, 2, '.', '');
        $verdict = match (true) {
            $this->cents() < 0 => "saves {$amount}",
            $this->cents() > 0 => "costs {$amount} more",
            default => 'costs the same',
        };
        $left = match ($this->left()) {
            0 => '',
            1 => '; one part of it is left over',
            default => "; {$this->left()} parts of it are left over",
        };

        return "{$this->kit->label}, {$this->kit->price}, instead of ".
            count($this->replaces).
            " single parts at {$this->singles()}: {$verdict}{$left}.";
    }
}
