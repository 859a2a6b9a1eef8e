<?php

declare(strict_types=1);

namespace Burrow\Net;

/** A home network as its router hands it out: prefix, router address, DHCP pool and local domain. */
final readonly class LocalNetwork
{
    public function __construct(
        public Prefix $prefix,
        public Ipv4 $router,
        public AddressRange $pool,
        public string $domain,
    ) {
    }
}
