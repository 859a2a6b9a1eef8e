<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** The small parts of the catalogue, asked by what is needed. */
final readonly class SmallParts
{
    /** @param  list<Adapter>  $adapters */
    public function __construct(private array $adapters)
    {
    }

    /** The cheapest that does this from that connector; null when the catalogue has none. */
    public function cheapest(AdapterKind $does, string $from = ''): ?Adapter
    {
        $fitting = array_filter(
            $this->adapters,
            fn (Adapter $one): bool => $one->does === $does &&
                ($from === '' || $one->from === $from) &&
                $one->market->available,
        );
        usort($fitting, fn (Adapter $a, Adapter $b): int => $a->price->cents <=> $b->price->cents);

        return $fitting[0] ?? null;
    }

    /** @return list<Adapter> */
    public function hubs(): array
    {
        return array_values(
            array_filter($this->adapters, fn (Adapter $one): bool => $one->does === AdapterKind::Hub),
        );
    }
}
