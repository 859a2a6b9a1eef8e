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
            ! $this->prefix->contains($address) => Finding::stop(
                'addresses.outside_prefix',
                "{$address} is not in this network.",
                "The network reaches from {$this->prefix->network} to {$this->prefix->broadcast()}; nobody here would find the box.",
                $do,
            ),
            $address->equals($this->prefix->network) => Finding::stop(
                'addresses.network_address',
                "{$address} is the network itself.",
                'The first address of a prefix names the network (RFC 4632).',
                $do,
            ),
            $address->equals($this->prefix->broadcast()) => Finding::stop(
                'addresses.broadcast',
                "{$address} is the broadcast address.",
                'The last address of a prefix reaches everybody at once (RFC 919).',
                $do,
            ),
            $address->equals($this->router) => Finding::stop(
                'addresses.router',
                "{$address} is the router.",
                'The whole network would lose its way out.',
                $do,
            ),
            $this->pool->contains($address) => Finding::stop(
                'addresses.inside_dhcp_pool',
                "{$address} is inside the DHCP pool.",
                "The router hands out {$this->pool} to anyone who asks; sooner or later two machines have it.",
                $do,
            ),
            default => null,
        };
    }
}
