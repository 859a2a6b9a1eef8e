<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** Reservations for typing into a router's page: name, hardware address, address, between tabs. */
final class RouterTable extends NetworkWriter
{
    public function kind(): string
    {
        return 'router-table';
    }

    public function summary(): string
    {
        return 'reservations as a table for typing into a router\'s page';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            foreach (self::reservations($network, $lacks) as [$name, $mac, $address]) {
                $lines .= "{$name}\t".strtoupper((string) $mac)."\t{$address}\n";
            }
        }

        return $lines === '' ? '' : "Name\tHardware address\tAddress\n{$lines}";
    }
}
