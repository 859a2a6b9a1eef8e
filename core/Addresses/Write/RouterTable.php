<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Addresses\Described\HeldBy;

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
            foreach ($network->hosts as $host) {
                if ($host->by !== HeldBy::Reservation) {
                    continue;
                }
                if ($host->mac === null || $host->address === null) {
                    $lacks($host, $host->mac === null ? 'hardware address' : 'address');

                    continue;
                }
                $lines .= strtolower($host->name)."\t".strtoupper((string) $host->mac)."\t{$host->address}\n";
            }
        }

        return $lines === '' ? '' : "Name\tHardware address\tAddress\n{$lines}";
    }
}
