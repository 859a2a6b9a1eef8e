<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Household\WanKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Address;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Prefix;
use Burrow\Reach\ReachFindings;
use Burrow\Reach\TunnelFindings;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;
use InvalidArgumentException;

/** A tunnel described in a text, held against what its files can carry and what the connection lets through. */
final class TunnelDescription
{
    /** Where the search begins in each of the private ranges; the lowest of these many houses have. */
    private const FIRSTS = ['10.73', '172.29', '192.168'];

    private const PORT = 51944;

    /** @var list<Finding> */
    private array $found = [];

    /** @param  array<string, mixed>  $data */
    private function __construct(
        private readonly array $data,
        private readonly YamlLines $lines,
        private readonly string $name,
    ) {
    }

    /** @return array{?TunnelPlan, Findings} null when something stops it */
    public static function read(string $values, string $schema, string $name): array
    {
        $entry = YamlEntry::read($values, $schema, $name);
        if ($entry->data === null) {
            return [null, $entry->findings];
        }
        $description = new self($entry->data, new YamlLines($values), $name);
        $plan = $description->plan();
        $findings = Findings::of(...$description->found);

        return [$findings->blocks() ? null : $plan, $findings];
    }

    private function plan(): ?TunnelPlan
    {
        /** @var array{endpoint: array{outside: string, port?: int, public_key?: string, interface?: string}, wan?: array{kind?: string, address?: string, mtu?: int, ipv6?: bool}, house: list<string>, elsewhere?: list<string>, net?: string, names?: list<string>, devices?: list<array{name: string, public_key?: string, address?: string, everything?: bool, keepalive?: int}>} $data */
        $data = $this->data;
        $outside = $data['endpoint']['outside'];
        if (Address::tryParse($outside) === null && ! self::isName($outside)) {
            $this->found[] = ReachFindings::notReachable($outside, $this->at('endpoint', 'outside'));
        }
        $key = $data['endpoint']['public_key'] ?? null;
        if ($key !== null && ! TunnelKey::isOne($key)) {
            $this->found[] = TunnelFindings::notAKey('endpoint', $this->at('endpoint', 'public_key'));
        }
        $wan = $data['wan'] ?? [];
        $this->wan($outside, $wan);
        $house = $this->prefixes($data['house'], 'house');
        $elsewhere = $this->prefixes($data['elsewhere'] ?? [], 'elsewhere');
        $net = $this->net($data['net'] ?? null, [...$house, ...$elsewhere]);
        $names = [];
        foreach ($data['names'] ?? [] as $i => $one) {
            $standard = Address::standard($one);
            $standard === null
                ? ($this->found[] = ReachFindings::notAnAddress($one, $this->at('names', $i)))
                : ($names[] = $standard);
        }
        $names === [] && ($this->found[] = TunnelFindings::noNames());
        foreach ($house as $prefix) {
            foreach ($elsewhere as $other) {
                $prefix->overlaps($other) &&
                    ($this->found[] = TunnelFindings::samePrefixThere($prefix, $other));
            }
        }
        // An outside that is an IPv6 address is reached over IPv6, whatever was said.
        $mtu = new Mtu(
            $wan['mtu'] ?? 1500,
            ($wan['ipv6'] ?? true) || Address::tryParse($outside) instanceof Ipv6,
        );
        // Inside it is IPv4, but for a device whose every packet goes through it.
        $everything = array_filter($data['devices'] ?? [], fn (array $one): bool => $one['everything'] ?? false) !== [];
        $everything &&
            $mtu->isTooSmall() &&
            ($this->found[] = TunnelFindings::mtuTooSmall($mtu->bytes, $this->at('wan', 'mtu')));

        return $net === null
            ? null
            : new TunnelPlan(
                $outside,
                $data['endpoint']['port'] ?? self::PORT,
                $key,
                $net,
                array_map(strval(...), $house),
                $names,
                $this->devices($data['devices'] ?? [], $net, $key),
                $mtu,
            );
    }

    /** @param  array{kind?: string, address?: string, mtu?: int, ipv6?: bool}  $wan */
    private function wan(string $outside, array $wan): void
    {
        $address = isset($wan['address']) ? Ipv4::tryParse($wan['address']) : null;
        if (isset($wan['address']) && Address::tryParse($wan['address']) === null) {
            $this->found[] = ReachFindings::notAnAddress($wan['address'], $this->at('wan', 'address'));
        }
        $told = WanKind::tryFrom($wan['kind'] ?? '');
        // What the address shows counts for more than what was said; the outside may be an address, too.
        $kind = WanKind::ofAddress($address) ?? (WanKind::ofAddress(Ipv4::tryParse($outside)) ?? $told);
        match ($kind) {
            WanKind::CarrierNat => ($this->found[] = TunnelFindings::carrierNat($address)),
            WanKind::BehindRouter => ($this->found[] = TunnelFindings::routerBehindRouter($address)),
            WanKind::Changing => Address::tryParse($outside) !== null &&
                ($this->found[] = TunnelFindings::changingAddress($outside)),
            default => null,
        };
    }

    /**
     * @param  list<string>  $said
     * @return list<Prefix>
     */
    private function prefixes(array $said, string $key): array
    {
        $prefixes = [];
        foreach ($said as $i => $one) {
            $prefix = Prefix::tryParse($one);
            $prefix === null
                ? ($this->found[] = ReachFindings::notAPrefix($one, $this->at($key, $i)))
                : ($prefixes[] = $prefix);
        }

        return $prefixes;
    }

    /**
     * The network inside: as it was said, or the first of 10.73/16 that nobody of these has.
     *
     * @param  list<Prefix>  $others
     */
    private function net(?string $said, array $others): ?TunnelNet
    {
        $free = self::freeNet($others);
        try {
            $net = $said === null ? $free : new TunnelNet($said);
        } catch (InvalidArgumentException) {
            $this->found[] = TunnelFindings::notATunnelNet((string) $said, $this->at('net'));

            return null;
        }
        foreach ($others as $other) {
            if ($net->prefix->overlaps($other)) {
                $this->found[] = TunnelFindings::netCollides(
                    $net->prefix(),
                    $other,
                    $free->prefix(),
                    $this->at('net'),
                );

                return $net;
            }
        }

        return $net;
    }

    /**
     * The first private network that none of these touches; where they leave none, the first of all.
     *
     * @param  list<Prefix>  $others
     */
    public static function freeNet(array $others): TunnelNet
    {
        foreach (self::nets($others) as $one) {
            $net = new TunnelNet($one);
            if (array_filter($others, fn (Prefix $other): bool => $other->overlaps($net->prefix)) === []) {
                return $net;
            }
        }

        return new TunnelNet('10.73.12.0/24');
    }

    /**
     * Of each of the three private ranges (RFC 1918), those that few houses have first.
     *
     * @param  list<Prefix>  $others  what holds 65 536 addresses as a whole is passed over at once
     * @return iterable<string>
     */
    private static function nets(array $others): iterable
    {
        $firsts = [
            ...array_map(fn (int $second): string => "10.{$second}", [...range(73, 255), ...range(0, 72)]),
            ...array_map(fn (int $second): string => "172.{$second}", [...range(29, 31), ...range(16, 28)]),
            '192.168',
        ];
        foreach ($firsts as $first) {
            $whole = Prefix::parse("{$first}.0.0/16");
            $isHeld = array_filter($others, fn (Prefix $one): bool => $one->length <= 16 && $one->overlaps($whole));
            $thirds = in_array($first, self::FIRSTS, true) ? [...range(12, 255), ...range(0, 11)] : range(0, 255);
            foreach ($isHeld === [] ? $thirds : [] as $third) {
                yield "{$first}.{$third}.0/24";
            }
        }
    }

    /**
     * @param  list<array{name: string, public_key?: string, address?: string, everything?: bool, keepalive?: int}>  $said
     * @return list<PlannedDevice>
     */
    private function devices(array $said, TunnelNet $net, ?string $endpointKey): array
    {
        $taken = [$net->endpoint() => 'the endpoint'];
        foreach ($said as $i => $one) {
            if (! isset($one['address'])) {
                continue;
            }
            $address = Ipv4::tryParse($one['address']);
            if ($address === null || ! $net->prefix->hosts()->contains($address)) {
                $this->found[] = TunnelFindings::outsideNet(
                    $one['address'],
                    $net->prefix(),
                    $this->at('devices', $i, 'address'),
                );
            } elseif (isset($taken[(string) $address])) {
                $this->found[] = TunnelFindings::addressTwice(
                    (string) $address,
                    $taken[(string) $address],
                    $one['name'],
                    $this->at('devices', $i, 'address'),
                );
            } else {
                $taken[(string) $address] = $one['name'];
            }
        }
        $devices = [];
        $keys = $endpointKey === null ? [] : [$endpointKey => 'the endpoint'];
        $names = [];
        $next = 1;
        foreach ($said as $i => $one) {
            if (preg_match('/^[\p{L}\p{N}][\p{L}\p{N} ._\'’-]{0,39}$/Du', $one['name']) !== 1) {
                $this->found[] = TunnelFindings::notAName($one['name'], $this->at('devices', $i, 'name'));
            }
            if (isset($names[mb_strtolower($one['name'])])) {
                $this->found[] = TunnelFindings::nameTwice($one['name'], $this->at('devices', $i, 'name'));
            }
            $names[mb_strtolower($one['name'])] = true;
            $key = $one['public_key'] ?? null;
            if ($key !== null && ! TunnelKey::isOne($key)) {
                $this->found[] = TunnelFindings::notAKey($one['name'], $this->at('devices', $i, 'public_key'));
            } elseif ($key !== null && isset($keys[$key])) {
                $this->found[] = TunnelFindings::keyTwice(
                    $keys[$key],
                    $one['name'],
                    $this->at('devices', $i, 'public_key'),
                );
            } elseif ($key !== null) {
                $keys[$key] = $one['name'];
            }
            $address = $one['address'] ?? null;
            if ($address === null) {
                while (isset($taken[$net->device($next)])) {
                    $next++;
                }
                $address = $net->device($next);
                if (! $net->prefix->hosts()->contains(Ipv4::parse($address))) {
                    $this->found[] = TunnelFindings::netFull($net->prefix(), $this->at('devices', $i));
                }
            }
            $taken[$address] = $one['name'];
            $devices[] = new PlannedDevice(
                $one['name'],
                $key,
                $address,
                $one['everything'] ?? false,
                $one['keepalive'] ?? 25,
            );
        }

        return $devices;
    }

    /** At most 253 letters of labels with a dot between (RFC 1035 2.3.4). */
    private static function isName(string $text): bool
    {
        $labels = explode('.', rtrim($text, '.'));

        return strlen($text) <= 253 &&
            count($labels) > 1 &&
            // A last label of digits alone would be an address that was mistyped (RFC 3696 2).
            preg_match('/^\d+$/D', $labels[count($labels) - 1]) !== 1 &&
            array_filter(
                $labels,
                fn (string $one): bool => Hostname::check($one, asMachine: false)->blocks(),
            ) === [];
    }

    private function at(string|int ...$path): Place
    {
        return Place::file($this->name, $this->lines->locate(array_values($path)));
    }
}
