<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** /etc/hosts, as hosts(5) has it: address, full name, short name, further names. */
final class HostsFile extends NetworkWriter
{
    public function kind(): string
    {
        return 'hosts';
    }

    public function summary(): string
    {
        return 'lines for /etc/hosts: every box by its names';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            foreach ($network->hosts as $host) {
                $names = strtolower(
                    implode(' ', [$host->name.'.'.$network->domain, $host->name, ...$host->aliases]),
                );
                $host->address === null && $host->ipv6 === null && $lacks($host, 'address');
                $lines .= $host->address === null ? '' : str_pad((string) $host->address, 15)." {$names}\n";
                $lines .= $host->ipv6 === null ? '' : "{$host->ipv6} {$names}\n";
            }
        }

        return $lines === '' ? '' : "# Boxes of this house\n{$lines}";
    }
}
