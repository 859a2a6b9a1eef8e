<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Prefix;

/** What a box is told about its own address. */
final readonly class OwnSettings
{
    /**
     * @param  Prefix  $prefix  that the address lies in
     * @param  list<Ipv4|Ipv6>  $dns
     */
    public function __construct(
        public string $interface,
        public Ipv4 $address,
        public Prefix $prefix,
        public ?Ipv4 $gateway,
        public array $dns,
        public string $domain,
        public string $host,
    ) {
    }
}
