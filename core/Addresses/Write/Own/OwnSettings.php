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

    /** The name begins as systemd and the kernel call radios (systemd.net-naming-scheme(7)). */
    public function isRadio(): bool
    {
        return str_starts_with($this->interface, 'wl');
    }

    /** @return ?array{string, int} the interface below and the number, of one that is a VLAN by its name; null else */
    public function vlan(): ?array
    {
        return preg_match('/^([A-Za-z][A-Za-z0-9_-]*)\.([1-9]\d{0,3})$/D', $this->interface, $m) === 1 &&
            (int) $m[2] <= 4094
                ? [$m[1], (int) $m[2]]
                : null;
    }
}
