<?php

declare(strict_types=1);

namespace Burrow\Net;

use Burrow\Judgement\Finding;

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

    /** Why a box cannot keep this address for itself, whoever else has it; null when nothing speaks against it. */
    public function against(Ipv4 $address, string $do): ?Finding
    {
        return match (true) {
            ! $this->prefix->contains($address) => AddressFindings::outsidePrefix($address, $this->prefix, $do),
            $address->equals($this->prefix->network) => AddressFindings::networkAddress($address, $do),
            $address->equals($this->prefix->broadcast()) => AddressFindings::broadcast($address, $do),
            $address->equals($this->router) => AddressFindings::router($address, $do),
            $this->pool->contains($address) => AddressFindings::insideDhcpPool($address, $this->pool, $do),
            default => null,
        };
    }
}
