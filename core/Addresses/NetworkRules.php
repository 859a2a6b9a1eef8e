<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\NamedRange;
use Burrow\Addresses\Described\Room;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Prefix;
use Closure;

/** What speaks against the networks of a house as they are described, one by one and beside each other. */
final class NetworkRules
{
    /** Prefixes that routers come with, so that half of all homes have one of them. */
    private const COMMON = [
        '192.168.0.0/24',
        '192.168.1.0/24',
        '192.168.2.0/24',
        '192.168.8.0/24',
        '192.168.10.0/24',
        '192.168.100.0/24',
        '192.168.178.0/24',
        '10.0.0.0/24',
        '10.0.1.0/24',
        '10.1.1.0/24',
        '10.10.10.0/24',
        '172.16.0.0/24',
        '192.168.0.0/16',
        '10.0.0.0/8',
        '172.16.0.0/12',
    ];

    /** Of one kind; more are not news. */
    private const EACH = 50;

    /** @var list<Finding> */
    private array $found = [];

    /** @var array<int, Room> */
    private array $rooms = [];

    /**
     * @param  list<DescribedNetwork>  $networks
     * @param  Closure(list<int|string>): ?Place  $place  where a part of the description stands
     */
    private function __construct(private readonly array $networks, private readonly Closure $place)
    {
    }

    /**
     * @param  list<DescribedNetwork>  $networks
     * @param  ?Closure(list<int|string>): ?Place  $place  by the path of a key: ["networks", 0, "hosts", 2, "address"]
     */
    public static function against(array $networks, ?Closure $place = null): Findings
    {
        $rules = new self($networks, $place ?? fn (array $path): ?Place => null);
        foreach ($networks as $at => $network) {
            $rules->prefix($network, $at);
            $rules->router($network, $at);
            $rules->pools($network, $at);
            $rules->hosts($network, $at);
            $rules->scheme($network, $at);
            $rules->resolvers($network, $at);
        }
        $rules->beside();
        $rules->twice();

        // What is so of the whole house, of its one resolver for instance, is said once.
        return Findings::of(
            ...array_values(
                array_column(
                    array_map(
                        fn (Finding $one): array => ["{$one->code} {$one->found} {$one->place}", $one],
                        $rules->found,
                    ),
                    1,
                    0,
                ),
            ),
        );
    }

    private function prefix(DescribedNetwork $network, int $at): void
    {
        $place = $this->at($at, 'prefix');
        if (! $network->prefix->isPrivate()) {
            $this->found[] = NetworkFindings::notPrivate($network->prefix, $place);
        } elseif (in_array((string) $network->prefix, self::COMMON, true)) {
            $this->found[] = NetworkFindings::commonPrefix($network->prefix, $this->rarer(), $place);
        }
        if ($this->room($at)->gaps === []) {
            $this->found[] = NetworkFindings::full($network->name, $place);
        }
    }

    /** A prefix that few have and nobody here: of 172.22/16, the house's own networks stepped over. */
    private function rarer(): Prefix
    {
        foreach (range(8, 255) as $third) {
            $prefix = Prefix::parse("172.22.{$third}.0/24");
            $inTheWay = array_filter(
                $this->networks,
                fn (DescribedNetwork $one): bool => $one->prefix->overlaps($prefix),
            );
            if ($inTheWay === []) {
                return $prefix;
            }
        }

        return Prefix::parse('172.30.8.0/24');
    }

    private function router(DescribedNetwork $network, int $at): void
    {
        $gateway = $network->gateway;
        if ($gateway !== null) {
            $place = $this->at($at, 'gateway');
            if (! $network->prefix->contains($gateway)) {
                $this->found[] = NetworkFindings::outside('The router', $gateway, $network->prefix, $place);
            } elseif (! $network->prefix->hosts()->contains($gateway)) {
                $this->add($this->edge($network->prefix, $gateway), $place);
            } elseif ($network->inPool($gateway) !== null) {
                $pool = $network->inPool($gateway);
                $this->add(
                    AddressFindings::insideDhcpPool($gateway, $pool, 'End the pool before it.'),
                    $place,
                );
            }
        }
        $wan = $network->wan;
        $place = $this->at($at, 'wan');
        if ($wan !== null) {
            $finding = match (true) {
                $wan->isCarrier() => NetworkFindings::carrierNat($wan, $place),
                $wan->isPrivate() => NetworkFindings::doubleNat($wan, $place),
                $wan->isLinkLocal() => NetworkFindings::noLease('The router, outside,', $wan, $place),
                default => null,
            };
            $finding === null || ($this->found[] = $finding);
        }
    }

    private function pools(DescribedNetwork $network, int $at): void
    {
        foreach ($network->pools as $i => $pool) {
            $place = $this->at($at, 'pools', $i);
            if (! $network->prefix->contains($pool->first) || ! $network->prefix->contains($pool->last)) {
                $this->found[] = NetworkFindings::outside('The pool', $pool, $network->prefix, $place);

                continue;
            }
            foreach ([$pool->first, $pool->last] as $end) {
                if (! $network->prefix->hosts()->contains($end)) {
                    $this->add($this->edge($network->prefix, $end), $place);
                }
            }
            foreach (array_slice($network->pools, 0, $i) as $other) {
                if (
                    $pool->first->number <= $other->last->number &&
                    $other->first->number <= $pool->last->number
                ) {
                    $this->found[] = NetworkFindings::poolsOverlap($other, $pool, $place);
                }
            }
        }
    }

    private function hosts(DescribedNetwork $network, int $at): void
    {
        $own = $network->prefix->hosts();
        $next = $this->room($at)->next();
        $do = $next === null ? 'The network is full.' : "Free is {$next}.";
        foreach ($network->hosts as $i => $host) {
            if ($host->mac?->isGroup() === true) {
                $this->found[] = NetworkFindings::groupMac(
                    $host->name,
                    (string) $host->mac,
                    $this->at($at, 'hosts', $i, 'mac'),
                );
            }
            $finding =
                $host->address === null ? null : $this->address($network, $own, $host, $host->address, $do);
            $finding === null || $this->add($finding, $this->at($at, 'hosts', $i, 'address'));
            if ($host->filters && ($host->address === null || $host->by === HeldBy::Dhcp)) {
                $this->found[] = NetworkFindings::filterMoves(
                    $host->name,
                    $this->at($at, 'hosts', $i, 'name'),
                );
            }
        }
    }

    private function address(
        DescribedNetwork $network,
        AddressRange $own,
        Host $host,
        Ipv4 $address,
        string $do,
    ): ?Finding {
        $pool = $network->inPool($address);

        return match (true) {
            $address->isLinkLocal() => NetworkFindings::noLease($host->name, $address, null),
            ! $network->prefix->contains($address) => NetworkFindings::outside(
                $host->name,
                $address,
                $network->prefix,
                null,
            ),
            ! $own->contains($address) => $this->edge($network->prefix, $address),
            $network->gateway?->equals($address) === true => AddressFindings::router($address, $do),
            $host->by === HeldBy::Static && $pool !== null => AddressFindings::insideDhcpPool(
                $address,
                $pool,
                $do,
            ),
            $host->by === HeldBy::Reservation && $pool !== null => NetworkFindings::reservedInPool(
                $host->name,
                $address,
                $pool,
                null,
            ),
            default => null,
        };
    }

    private function edge(Prefix $prefix, Ipv4 $address): Finding
    {
        return $address->equals($prefix->network)
            ? AddressFindings::networkAddress($address, 'Take one between the first and the last.')
            : AddressFindings::broadcast($address, 'Take one between the first and the last.');
    }

    private function scheme(DescribedNetwork $network, int $at): void
    {
        $ranges = [];
        foreach ($network->ranges as $i => $named) {
            $ranges[$named->name] = $named;
            if (
                ! $network->prefix->contains($named->range->first) ||
                ! $network->prefix->contains($named->range->last)
            ) {
                $this->found[] = NetworkFindings::outside(
                    "“{$named->name}”",
                    $named->range,
                    $network->prefix,
                    $this->at($at, 'ranges', $i),
                );
            }
        }
        foreach ($network->hosts as $i => $host) {
            $named = $ranges[$host->kind] ?? null;
            if ($host->kind !== '' && $named === null) {
                $this->found[] = NetworkFindings::unknownKind(
                    $host->name,
                    $host->kind,
                    $this->at($at, 'hosts', $i, 'kind'),
                );
            } elseif (
                $named instanceof NamedRange &&
                $host->address !== null &&
                ! $named->range->contains($host->address)
            ) {
                $this->found[] = NetworkFindings::againstScheme(
                    $host->name,
                    $host->address,
                    $named->name,
                    $named->range,
                    $this->room($at)->within($named->range)->next(),
                    $this->at($at, 'hosts', $i, 'address'),
                );
            }
        }
    }

    private function resolvers(DescribedNetwork $network, int $at): void
    {
        $filters = array_values(array_filter($network->hosts, fn (Host $host): bool => $host->filters));
        if (count($network->dns) === 1) {
            $this->found[] = NetworkFindings::oneResolver(
                (string) $network->dns[0],
                $this->at($at, 'dns', 0),
            );
        }
        if ($filters === []) {
            return;
        }
        $known = array_filter(array_map(fn (Host $host): string => (string) $host->address, $filters));
        foreach ($network->dns as $i => $server) {
            $own = $server instanceof Ipv6 && $network->ipv6?->contains($server) === true;
            if (! in_array((string) $server, $known, true) && ! $own) {
                $this->found[] = NetworkFindings::pastFilter(
                    (string) $server,
                    $server instanceof Ipv6,
                    $this->at($at, 'dns', $i),
                );
            }
        }
    }

    private function beside(): void
    {
        foreach ($this->networks as $at => $network) {
            foreach (array_slice($this->networks, 0, $at) as $other) {
                if ($network->prefix->overlaps($other->prefix)) {
                    $this->found[] = NetworkFindings::overlap(
                        $other->name,
                        $other->prefix,
                        $network->name,
                        $network->prefix,
                        $this->at($at, 'prefix'),
                    );
                }
            }
        }
    }

    private function twice(): void
    {
        $met = ['address' => [], 'mac' => [], 'name' => []];
        $said = ['address' => 0, 'mac' => 0, 'name' => 0];
        foreach ($this->networks as $at => $network) {
            foreach ($network->hosts as $i => $host) {
                $values = [
                    ['address', (string) $host->address],
                    ['mac', (string) $host->mac],
                    ['name', strtolower($host->name)],
                ];
                foreach ($host->aliases as $alias) {
                    $values[] = ['name', strtolower($alias)];
                }
                foreach ($values as [$what, $value]) {
                    // A machine may stand in two networks under one name, with one address in each.
                    $key = $what === 'address' ? $value : "{$at} {$value}";
                    if ($value !== '' && isset($met[$what][$key]) && $said[$what]++ < self::EACH) {
                        $place = $this->at($at, 'hosts', $i, $what);
                        $this->found[] = match ($what) {
                            'address' => NetworkFindings::addressTwice(
                                $value,
                                $met[$what][$key],
                                $host->name,
                                $place,
                            ),
                            'mac' => NetworkFindings::macTwice(
                                $value,
                                $met[$what][$key],
                                $host->name,
                                $place,
                            ),
                            'name' => NetworkFindings::nameTwice($value, $place),
                        };
                    }
                    $met[$what][$key] ??= $host->name;
                }
            }
        }
    }

    private function room(int $at): Room
    {
        return $this->rooms[$at] ??= Room::of($this->networks[$at]);
    }

    private function add(Finding $finding, ?Place $place): void
    {
        $this->found[] = $place === null ? $finding : $finding->at($place);
    }

    private function at(int $network, int|string ...$rest): ?Place
    {
        return ($this->place)(['networks', $network, ...array_values($rest)]);
    }
}
