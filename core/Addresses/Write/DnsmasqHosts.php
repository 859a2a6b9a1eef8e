<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Addresses\Described\HeldBy;

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
            foreach ($network->hosts as $host) {
                if ($host->by !== HeldBy::Reservation) {
                    continue;
                }
                if ($host->mac === null || $host->address === null) {
                    $lacks($host, $host->mac === null ? 'hardware address' : 'address');

                    continue;
                }
                $lines .= "dhcp-host={$host->mac},{$host->address},".strtolower($host->name)."\n";
            }
        }

        return $lines === '' ? '' : "# Reservations\n{$lines}";
    }
}
