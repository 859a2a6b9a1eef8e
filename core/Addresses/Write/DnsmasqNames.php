<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** Local records for dnsmasq(8): host-record with the full name, the short one and the further ones. */
final class DnsmasqNames extends NetworkWriter
{
    public function kind(): string
    {
        return 'dnsmasq-names';
    }

    public function summary(): string
    {
        return 'local records for dnsmasq: host-record lines, and the domain kept in the house';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            $records = '';
            foreach ($network->hosts as $host) {
                if ($host->address === null && $host->ipv6 === null) {
                    $lacks($host, 'address');

                    continue;
                }
                $names = array_map(fn (string $name): string => strtolower("{$name}.{$network->domain}"), [
                    $host->name,
                    ...$host->aliases,
                ]);
                $records .=
                    'host-record='.
                    implode(
                        ',',
                        array_filter([
                            strtolower($host->name),
                            ...$names,
                            (string) $host->address,
                            (string) $host->ipv6,
                        ]),
                    ).
                    "\n";
            }
            $lines .= $records === '' ? '' : 'local=/'.strtolower($network->domain)."/\n{$records}";
        }

        return $lines === '' ? '' : "# Names of this house\n{$lines}";
    }
}
