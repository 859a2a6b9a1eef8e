<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Prefix;

/** One network of a house: what its router hands out, and who stands where. */
final readonly class DescribedNetwork
{
    /**
     * @param  list<AddressRange>  $pools  what the router hands out to anybody
     * @param  list<Ipv4|Ipv6>  $dns  name servers that are handed out, in their order
     * @param  ?Ipv4  $wan  the router's address towards the provider
     * @param  list<NamedRange>  $ranges  the scheme
     * @param  list<Host>  $hosts
     * @param  int  $serial  of the zone files (RFC 1035 3.3.13)
     */
    public function __construct(
        public string $name,
        public Prefix $prefix,
        public ?Ipv4 $gateway = null,
        public array $pools = [],
        public array $dns = [],
        public string $domain = 'home.arpa',
        public ?Ipv6Prefix $ipv6 = null,
        public ?Ipv4 $wan = null,
        public array $ranges = [],
        public array $hosts = [],
        public int $serial = 1,
    ) {
    }

    /**
     * The same network with other pools.
     *
     * @param  list<AddressRange>  $pools
     */
    public function with(array $pools): self
    {
        return new self(
            $this->name,
            $this->prefix,
            $this->gateway,
            $pools,
            $this->dns,
            $this->domain,
            $this->ipv6,
            $this->wan,
            $this->ranges,
            $this->hosts,
            $this->serial,
        );
    }

    public function inPool(Ipv4 $address): ?AddressRange
    {
        foreach ($this->pools as $pool) {
            if ($pool->contains($address)) {
                return $pool;
            }
        }

        return null;
    }
}
