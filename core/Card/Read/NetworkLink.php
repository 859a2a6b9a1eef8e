<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Net\Ipv4;

/**
 * A link that network-config sets up, from either version of it (cloud-init, “Networking config version 1” and
 * “version 2”).
 */
final readonly class NetworkLink
{
    /** Sections of version 2 whose entries may hold addresses. */
    private const SECTIONS = ['ethernets', 'wifis', 'bridges', 'bonds', 'vlans'];

    private const KINDS = ['physical', 'bridge', 'bond', 'vlan'];

    /**
     * @param  list<int|string>  $path  where it stands
     * @param  array<mixed>  $settings  as they stand there
     * @param  list<array{mixed, list<int|string>}>  $addresses  with their prefix lengths, and where they stand
     * @param  list<int|string>  $gatewayPath  where the gateway stands; that of the link when it has none
     * @param  bool  $asks  the router or anything else on the wire for an address
     */
    private function __construct(
        public string $name,
        public array $path,
        public array $settings,
        public array $addresses,
        public bool $asks,
        public ?Ipv4 $gateway,
        public array $gatewayPath,
        public bool $isRadio,
    ) {
    }

    public function getsAddress(): bool
    {
        return $this->asks || $this->addresses !== [];
    }

    /**
     * @param  array<mixed>  $data
     * @param  list<string>  $root
     * @return list<self>
     */
    public static function ofVersion2(array $data, array $root): array
    {
        $links = [];
        foreach (self::SECTIONS as $section) {
            foreach (is_array($data[$section] ?? null) ? $data[$section] : [] as $name => $link) {
                $path = [...$root, $section, $name];
                $link = is_array($link) ? $link : [];
                $addresses = is_array($link['addresses'] ?? null) ? array_values($link['addresses']) : [];
                [$gateway, $gatewayPath] = self::gateway($link, $path);
                $links[] = new self(
                    (string) $name,
                    $path,
                    $link,
                    // An address may be a key, with a label below it.
                    array_map(
                        fn (mixed $one, int $number): array => [
                            is_array($one) ? array_key_first($one) : $one,
                            [...$path, 'addresses', $number],
                        ],
                        $addresses,
                        array_keys($addresses),
                    ),
                    self::isOn($link['dhcp4'] ?? false) ||
                        self::isOn($link['dhcp6'] ?? false) ||
                        self::isOn($link['accept-ra'] ?? false),
                    $gateway,
                    $gatewayPath,
                    $section === 'wifis',
                );
            }
        }

        return $links;
    }

    /**
     * @param  array<mixed>  $data
     * @param  list<string>  $root
     * @return list<self>
     */
    public static function ofVersion1(array $data, array $root): array
    {
        $links = [];
        foreach (is_array($data['config'] ?? null) ? array_values($data['config']) : [] as $number => $link) {
            if (! is_array($link) || ! in_array($link['type'] ?? null, self::KINDS, true)) {
                continue;
            }
            $path = [...$root, 'config', $number];
            $subnets = array_filter(
                is_array($link['subnets'] ?? null) ? array_values($link['subnets']) : [],
                is_array(...),
            );
            $static = array_filter($subnets, fn (array $subnet): bool => isset($subnet['address']));
            $gateways = array_filter(
                array_map(fn (array $subnet): mixed => $subnet['gateway'] ?? null, $subnets),
                is_string(...),
            );
            $links[] = new self(
                is_scalar($link['name'] ?? null) ? (string) $link['name'] : '',
                $path,
                $link,
                array_values(
                    array_map(
                        fn (array $subnet, int $at): array => [
                            self::withLength($subnet),
                            [...$path, 'subnets', $at, 'address'],
                        ],
                        $static,
                        array_keys($static),
                    ),
                ),
                array_filter(
                    $subnets,
                    fn (array $subnet): bool => str_contains(
                        is_string($subnet['type'] ?? null) ? $subnet['type'] : '',
                        'dhcp',
                    ),
                ) !== [],
                Ipv4::tryParse((string) current($gateways)),
                $gateways === [] ? $path : [...$path, 'subnets', array_key_first($gateways), 'gateway'],
                false,
            );
        }

        return $links;
    }

    /** netplan takes these words, quoted or not (netplan.io, parse.c). */
    private static function isOn(mixed $value): bool
    {
        return $value === true ||
            (is_string($value) && in_array(strtolower($value), ['true', 'on', 'yes', 'y'], true));
    }

    /**
     * Version 1 may give the mask apart from the address.
     *
     * @param  array<mixed>  $subnet
     */
    private static function withLength(array $subnet): mixed
    {
        $mask = is_string($subnet['netmask'] ?? null) ? Ipv4::tryParse($subnet['netmask']) : null;

        return is_string($subnet['address']) && ! str_contains($subnet['address'], '/') && $mask !== null
            ? $subnet['address'].'/'.substr_count(decbin($mask->number), '1')
            : $subnet['address'];
    }

    /**
     * @param  array<mixed>  $link
     * @param  list<int|string>  $path
     * @return array{?Ipv4, list<int|string>}
     */
    private static function gateway(array $link, array $path): array
    {
        foreach (is_array($link['routes'] ?? null) ? array_values($link['routes']) : [] as $number => $route) {
            if (
                is_array($route) &&
                in_array($route['to'] ?? null, ['default', '0.0.0.0/0'], true) &&
                is_string($route['via'] ?? null)
            ) {
                return [Ipv4::tryParse($route['via']), [...$path, 'routes', $number, 'via']];
            }
        }

        return is_string($link['gateway4'] ?? null)
            ? [Ipv4::tryParse($link['gateway4']), [...$path, 'gateway4']]
            : [null, $path];
    }
}
