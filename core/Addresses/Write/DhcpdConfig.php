<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Net\Ipv4;

/** dhcpd.conf(5): a subnet with its ranges and options, and a host block for each reservation. */
final class DhcpdConfig extends NetworkWriter
{
    public function kind(): string
    {
        return 'dhcpd';
    }

    public function summary(): string
    {
        return 'dhcpd.conf: subnets with ranges, and a host block for each reservation';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $text = '';
        foreach ($networks as $network) {
            $dns = array_filter($network->dns, fn ($server): bool => $server instanceof Ipv4);
            $text .= "subnet {$network->prefix->network} netmask {$network->prefix->netmask()} {\n";
            foreach ($network->pools as $pool) {
                $text .= "  range {$pool->first} {$pool->last};\n";
            }
            $text .= $network->gateway === null ? '' : "  option routers {$network->gateway};\n";
            $text .= $dns === [] ? '' : '  option domain-name-servers '.implode(', ', $dns).";\n";
            $text .= '  option domain-name "'.strtolower($network->domain)."\";\n}\n";
            foreach (self::reservations($network, $lacks) as [$name, $mac, $address]) {
                $text .=
                    "host {$name} {\n  hardware ethernet {$mac};\n  fixed-address {$address};\n".
                    "  option host-name \"{$name}\";\n}\n";
            }
        }

        return $text === '' ? '' : "default-lease-time 43200;\nauthoritative;\n{$text}";
    }
}
