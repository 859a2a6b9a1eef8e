<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;

/** What is free in a network: addresses that are neither handed out nor held, as runs from first to last. */
final readonly class Room
{
    /** @param  list<AddressRange>  $gaps  in order, none touching another */
    private function __construct(public array $gaps)
    {
    }

    public static function of(DescribedNetwork $network): self
    {
        $taken = $network->pools;
        $network->gateway === null || ($taken[] = AddressRange::between($network->gateway, $network->gateway));
        foreach ($network->hosts as $host) {
            $host->address === null || ($taken[] = AddressRange::between($host->address, $host->address));
        }

        return new self(self::without($network->prefix->hosts(), $taken));
    }

    /** The gaps inside one part of the network. */
    public function within(AddressRange $part): self
    {
        $gaps = [];
        foreach ($this->gaps as $gap) {
            $first = max($gap->first->number, $part->first->number);
            $last = min($gap->last->number, $part->last->number);
            if ($first <= $last) {
                $gaps[] = AddressRange::between(Ipv4::fromNumber($first), Ipv4::fromNumber($last));
            }
        }

        return new self($gaps);
    }

    public function free(): int
    {
        return array_sum(array_map(fn (AddressRange $gap): int => $gap->size(), $this->gaps));
    }

    /** Where offers begin: the first nine stay free for the router and what else a network needs later. */
    public function firstOffered(DescribedNetwork $network): ?Ipv4
    {
        return $network->prefix->size() > 20 ? $network->prefix->network->offset(10) : null;
    }

    /** The lowest free address, from one on where there is such a one. */
    public function next(?Ipv4 $from = null): ?Ipv4
    {
        foreach ($this->gaps as $gap) {
            if ($from === null || $gap->last->number >= $from->number) {
                return $from !== null && $gap->contains($from) ? $from : $gap->first;
            }
        }

        return $this->gaps[0]->first ?? null;
    }

    /**
     * @param  list<AddressRange>  $taken
     * @return list<AddressRange>
     */
    private static function without(AddressRange $whole, array $taken): array
    {
        usort(
            $taken,
            fn (AddressRange $one, AddressRange $other): int => $one->first->number <=> $other->first->number,
        );
        $gaps = [];
        $at = $whole->first->number;
        foreach ($taken as $range) {
            $end = min($range->first->number - 1, $whole->last->number);
            if ($end >= $at) {
                $gaps[] = AddressRange::between(Ipv4::fromNumber($at), Ipv4::fromNumber($end));
            }
            $at = max($at, $range->last->number + 1);
        }
        if ($at <= $whole->last->number) {
            $gaps[] = AddressRange::between(Ipv4::fromNumber($at), $whole->last);
        }

        return $gaps;
    }
}
