<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** The reverse zone file of the first network: addresses to names (RFC 1035 3.5). */
final class ReverseZone extends NetworkWriter
{
    public function kind(): string
    {
        return 'zone-reverse';
    }

    public function summary(): string
    {
        return 'a reverse zone file: addresses to names (RFC 1035 3.5)';
    }

    protected function text(array $networks, callable $lacks): string
    {
        if ($networks === []) {
            return '';
        }
        $network = $networks[0];
        $records = '';
        $zone = $network->prefix->reverseZone();
        $held = substr_count($zone, '.') - 1;
        foreach ($network->hosts as $host) {
            if ($host->address === null) {
                $lacks($host, 'address');

                continue;
            }
            $own = implode('.', array_reverse(array_slice(explode('.', (string) $host->address), $held)));
            $records .= str_pad($own, 15).' IN PTR '.strtolower("{$host->name}.{$network->domain}").".\n";
        }

        return $records === '' ? '' : ZoneFile::head($network, $zone).$records;
    }
}
