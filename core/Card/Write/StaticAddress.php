<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/**
 * An address that the box gives itself: for a box that serves names or leases, or where the router cannot reserve one.
 */
final readonly class StaticAddress
{
    /** @param  list<Ipv4>  $resolvers */
    public function __construct(
        public Ipv4 $address,
        public Prefix $prefix,
        public Ipv4 $gateway,
        public array $resolvers,
    ) {
    }
}
