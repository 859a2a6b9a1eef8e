<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Net\Ipv4;
use Burrow\Net\Mac;

/** A machine that is to have its place in a network. */
final readonly class Host
{
    /**
     * @param  ?Ipv4  $address  null where it takes what it is given
     * @param  string  $kind  the range of the scheme that it belongs to, or empty
     * @param  bool  $filters  it answers names for the house
     */
    public function __construct(
        public string $name,
        public ?Ipv4 $address = null,
        public ?Mac $mac = null,
        public HeldBy $by = HeldBy::Reservation,
        public string $kind = '',
        public bool $filters = false,
    ) {
    }
}
