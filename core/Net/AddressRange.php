<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** Addresses from first to last, both included: a DHCP pool, for instance. */
final readonly class AddressRange
{
    private function __construct(public Ipv4 $first, public Ipv4 $last)
    {
    }

    /** @throws InvalidArgumentException when the last comes before the first */
    public static function between(Ipv4 $first, Ipv4 $last): self
    {
        if ($last->number < $first->number) {
            throw new InvalidArgumentException("A range cannot end before it begins: {$first} to {$last}.");
        }

        return new self($first, $last);
    }

    public function contains(Ipv4 $address): bool
    {
        return $address->number >= $this->first->number && $address->number <= $this->last->number;
    }

    public function size(): int
    {
        return $this->last->number - $this->first->number + 1;
    }

    public function __toString(): string
    {
        return $this->first.'–'.$this->last;
    }
}
