<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Net\Ipv4;

/** Local records for unbound.conf(5): a static local zone, local-data and local-data-ptr. */
final class UnboundNames extends NetworkWriter
{
    public function kind(): string
    {
        return 'unbound';
    }

    public function summary(): string
    {
        return 'local records for unbound: a local zone with its data, forward and reverse';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            $domain = strtolower($network->domain);
            $records = '';
            foreach ($network->hosts as $host) {
                $host->address === null && $host->ipv6 === null && $lacks($host, 'address');
                foreach (array_filter([$host->address, $host->ipv6]) as $address) {
                    $type = $address instanceof Ipv4 ? 'A' : 'AAAA';
                    foreach ([$host->name, ...$host->aliases] as $name) {
                        $records .=
                            '    local-data: "'.strtolower($name).".{$domain}. IN {$type} {$address}\"\n";
                    }
                    $records .= "    local-data-ptr: \"{$address} ".strtolower($host->name).".{$domain}\"\n";
                }
            }
            $lines .= $records === '' ? '' : "    local-zone: \"{$domain}.\" static\n{$records}";
        }

        return $lines === '' ? '' : "# Names of this house\nserver:\n{$lines}";
    }
}
