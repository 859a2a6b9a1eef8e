<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** Reservations for dnsmasq(8): one dhcp-host line a machine, with hardware address, address and name. */
final class DnsmasqHosts extends NetworkWriter
{
    public function kind(): string
    {
        return 'dnsmasq-hosts';
    }

    public function summary(): string
    {
        return 'reservations for dnsmasq: dhcp-host lines';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            foreach (self::reservations($network, $lacks) as [$name, $mac, $address]) {
                $lines .= "dhcp-host={$mac},{$address},{$name}\n";
            }
        }

        return $lines === '' ? '' : "# Reservations\n{$lines}";
    }
}
