<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Net\Ipv4;

/** A forward zone file (RFC 1035 5): the first network's domain with every host of the networks that share it. */
final class ZoneFile extends NetworkWriter
{
    public function kind(): string
    {
        return 'zone';
    }

    public function summary(): string
    {
        return 'a zone file: names to addresses (RFC 1035)';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $domain = strtolower($networks[0]->domain ?? '');
        $records = '';
        foreach ($networks as $network) {
            foreach (strtolower($network->domain) === $domain ? $network->hosts : [] as $host) {
                $name = strtolower($host->name);
                $host->address === null && $host->ipv6 === null && $lacks($host, 'address');
                foreach (array_filter([$host->address, $host->ipv6]) as $address) {
                    $records .=
                        str_pad($name, 24).
                        ' IN '.
                        ($address instanceof Ipv4 ? 'A    ' : 'AAAA ').
                        "{$address}\n";
                }
                foreach ($host->address === null && $host->ipv6 === null ? [] : $host->aliases as $alias) {
                    $records .= str_pad(strtolower($alias), 24)." IN CNAME {$name}\n";
                }
            }
        }

        return $records === '' ? '' : self::head($networks[0], $domain).$records;
    }

    /** SOA and NS: the box that answers names for the house, where the description has it. */
    public static function head(DescribedNetwork $network, string $zone): string
    {
        $dns = array_map(strval(...), $network->dns);
        $servers = array_filter(
            $network->hosts,
            fn (Host $host): bool => $host->address !== null &&
                ($host->filters || in_array((string) $host->address, $dns, true)),
        );
        $server = $servers === [] ? 'ns.invalid.' : strtolower(reset($servers)->name.".{$network->domain}.");

        return "\$ORIGIN {$zone}.\n\$TTL 3600\n".
            "@ IN SOA {$server} hostmaster.".
            strtolower($network->domain).
            ". ( {$network->serial} 3600 600 604800 3600 )\n".
            "@ IN NS {$server}\n";
    }
}
