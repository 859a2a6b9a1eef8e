<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Net\Ipv4;

/** The Dhcp4 part of kea-dhcp4's configuration: subnets with pools, options and reservations. */
final class KeaConfig extends NetworkWriter
{
    private const LIFETIME_SECONDS = 43200;

    public function kind(): string
    {
        return 'kea';
    }

    public function summary(): string
    {
        return 'kea-dhcp4: subnets, pools, options and reservations as JSON';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $subnets = [];
        foreach ($networks as $at => $network) {
            $reservations = [];
            foreach (self::reservations($network, $lacks) as [$name, $mac, $address]) {
                $reservations[] = [
                    'hw-address' => (string) $mac,
                    'ip-address' => (string) $address,
                    'hostname' => $name,
                ];
            }
            $subnets[] = [
                'id' => $at + 1,
                'subnet' => (string) $network->prefix,
                'pools' => array_map(
                    fn ($pool): array => ['pool' => "{$pool->first} - {$pool->last}"],
                    $network->pools,
                ),
                'option-data' => self::options($network),
                'reservations' => $reservations,
            ];
        }

        return $subnets === []
            ? ''
            : json_encode(
                [
                    'Dhcp4' => [
                        'interfaces-config' => ['interfaces' => ['*']],
                        'valid-lifetime' => self::LIFETIME_SECONDS,
                        'lease-database' => ['type' => 'memfile', 'persist' => true],
                        'subnet4' => $subnets,
                    ],
                ],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            )."\n";
    }

    /** @return list<array{name: string, data: string}> */
    private static function options(DescribedNetwork $network): array
    {
        $dns = array_filter($network->dns, fn ($server): bool => $server instanceof Ipv4);

        return array_values(
            array_filter([
                $network->gateway === null ? null : ['name' => 'routers', 'data' => (string) $network->gateway],
                $dns === [] ? null : ['name' => 'domain-name-servers', 'data' => implode(', ', $dns)],
                ['name' => 'domain-name', 'data' => strtolower($network->domain)],
            ]),
        );
    }
}
