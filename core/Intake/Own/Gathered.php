<?php

declare(strict_types=1);

namespace Burrow\Intake\Own;

use Burrow\Net\Address;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;

/**
 * What several tools said about one machine, put together: addresses from one, the way out from another, name servers
 * from a third.
 */
final class Gathered
{
    private const INTERFACES = 1000;

    private const EACH = 200;

    /** @var array<string, array{mac: ?Mac, dhcp: ?bool, addresses: array<string, array{Ipv4|Ipv6, ?int, ?bool}>, gateways: array<string, array{Ipv4|Ipv6, ?int}>, dns: array<string, true>}> */
    private array $interfaces = [];

    /** @var array<string, true> */
    private array $dns = [];

    public function mac(string $interface, string $text): void
    {
        $mac = Mac::tryParse($text) ?? Mac::tryShort($text);
        $at = $this->at($interface);
        if ($at !== null && $mac !== null && ! $mac->isGroup()) {
            $this->interfaces[$at]['mac'] = $mac;
        }
    }

    public function dhcp(string $interface, bool $dhcp): void
    {
        $at = $this->at($interface);
        if ($at !== null) {
            $this->interfaces[$at]['dhcp'] = $dhcp;
        }
    }

    public function address(string $interface, string $text, ?int $prefix, ?bool $dhcp = null): void
    {
        $parts = explode('/', $text);
        $address = Address::tryParse($parts[0]);
        $at = $this->at($interface);
        if ($at !== null && $address !== null && count($this->interfaces[$at]['addresses']) < self::EACH) {
            $length = $prefix ?? (isset($parts[1]) && ctype_digit($parts[1]) ? (int) $parts[1] : null);
            $known = $this->interfaces[$at]['addresses'][(string) $address] ?? null;
            $this->interfaces[$at]['addresses'][(string) $address] = [
                $address,
                $length ?? ($known[1] ?? null),
                $dhcp ?? ($known[2] ?? null),
            ];
        }
    }

    /** The length of the prefix of the address that was told last, on its own line. */
    public function netmask(string $interface, string $mask): void
    {
        $at = $this->at($interface);
        $last = $at === null ? null : array_key_last($this->interfaces[$at]['addresses']);
        if ($last !== null) {
            $this->interfaces[$at]['addresses'][$last][1] = Prefix::lengthOf($mask);
        }
    }

    public function gateway(string $interface, string $text, ?int $metric): void
    {
        $address = Address::tryParse($text);
        $at = $this->at($interface);
        if ($at !== null && $address !== null) {
            $family = $address instanceof Ipv4 ? 'v4' : 'v6';
            $known = $this->interfaces[$at]['gateways'][$family] ?? null;
            // The one with the smaller figure is taken first.
            if (
                $known === null ||
                ($metric ?? 0) < ($known[1] ?? 0) ||
                ($known[1] === null && $address->equals($known[0]))
            ) {
                $this->interfaces[$at]['gateways'][$family] = [$address, $metric];
            }
        }
    }

    /** @param  ?string  $interface  null for the whole machine */
    public function dns(?string $interface, string $text): void
    {
        // "172.22.8.11#53", "fe80::1%eth0": port and zone behind it.
        $address = Address::tryParse((string) preg_replace('/#.*$/', '', $text));
        if ($address === null) {
            return;
        }
        $at = $interface === null ? null : $this->at($interface);
        if ($at === null) {
            $this->dns += count($this->dns) < self::EACH ? [(string) $address => true] : [];
        } else {
            $this->interfaces[$at]['dns'] += [(string) $address => true];
        }
    }

    /** @return list<OwnAddress> */
    public function facts(): array
    {
        $facts = [];
        $used = false;
        foreach ($this->interfaces as $name => $one) {
            $addresses = $one['addresses'];
            $empty = $addresses === [] && ($one['gateways'] !== [] || $one['dns'] !== [] || $one['mac'] !== null);
            foreach ($empty ? [[null, null, null]] : $addresses as [$address, $length, $dhcp]) {
                [$gateway, $metric] = self::out($one['gateways'], $address);
                $dns = $one['dns'] !== [] || $gateway === null ? $one['dns'] : $this->dns;
                $used = $used || ($one['dns'] === [] && $dns !== []);
                $facts[] = new OwnAddress(
                    (string) $name,
                    $address,
                    $length,
                    $gateway,
                    $metric,
                    array_map(strval(...), array_keys($dns)),
                    $one['mac'],
                    $dhcp ?? $one['dhcp'],
                );
            }
        }
        if (! $used && $this->dns !== []) {
            $facts[] = new OwnAddress(
                null,
                null,
                null,
                null,
                null,
                array_map(strval(...), array_keys($this->dns)),
                null,
                null,
            );
        }

        return $facts;
    }

    /**
     * The way out of an address's own family; link-local addresses have none.
     *
     * @param  array<string, array{Ipv4|Ipv6, ?int}>  $gateways
     * @return array{Ipv4|Ipv6|null, ?int}
     */
    private static function out(array $gateways, Ipv4|Ipv6|null $address): array
    {
        return match (true) {
            $address === null => $gateways['v4'] ?? ($gateways['v6'] ?? [null, null]),
            $address->isLinkLocal() => [null, null],
            default => $gateways[$address instanceof Ipv4 ? 'v4' : 'v6'] ?? [null, null],
        };
    }

    private function at(string $interface): ?string
    {
        // "eth0@if2" is eth0 with its peer behind it.
        $name = mb_substr(explode('@', trim($interface))[0], 0, 120);
        if ($name === '' || (! isset($this->interfaces[$name]) && count($this->interfaces) >= self::INTERFACES)) {
            return null;
        }
        $this->interfaces[$name] ??= [
            'mac' => null,
            'dhcp' => null,
            'addresses' => [],
            'gateways' => [],
            'dns' => [],
        ];

        return $name;
    }
}
