<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\NamedRange;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/**
 * A scheme for a network that has none: routers first, then boxes, then printers and what is pinned by hand; the pool
 * stays where it is. What stands there already decides how far each part reaches.
 */
final class Scheme
{
    /** Name and last number of each part in a network of 256, by common practice. */
    private const USUAL = [
        ['routers', 1, 9],
        ['boxes', 10, 49],
        ['printers and cameras', 50, 69],
        ['others', 70, 99],
    ];

    /** @return list<NamedRange> none where the network is too small, or its pool covers them */
    public static function propose(DescribedNetwork $network): array
    {
        if ($network->prefix->length > 24) {
            return [];
        }
        $ranges = [];
        foreach (self::USUAL as [$name, $from, $to]) {
            $range = self::outsidePools($network, $from, $to);
            $range === null || ($ranges[] = new NamedRange($name, $range));
        }

        return $ranges;
    }

    private static function outsidePools(DescribedNetwork $network, int $from, int $to): ?AddressRange
    {
        $first = $network->prefix->network->offset($from);
        $last = $network->prefix->network->offset($to);
        foreach ($network->pools as $pool) {
            // What the pool covers at one end is cut off; where it begins in the middle, the part before it stays.
            if ($pool->contains($first)) {
                $first = $pool->last->offset(1);
            }
            if ($pool->first->number > $first->number && $pool->first->number <= $last->number) {
                $last = $pool->first->offset(-1);
            }
        }

        return $last->number >= $first->number && self::inside($network->prefix, $first, $last)
            ? AddressRange::between($first, $last)
            : null;
    }

    private static function inside(Prefix $prefix, Ipv4 $first, Ipv4 $last): bool
    {
        return $prefix->hosts()->contains($first) && $prefix->hosts()->contains($last);
    }

    private function __construct()
    {
    }
}
