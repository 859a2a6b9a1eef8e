<?php

declare(strict_types=1);

use Burrow\Addresses\NetworksConcern;
use Burrow\Household\HouseNetwork;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;

// What speaks against the networks reaches the front page where it costs an evening.

function networkOf(
    int $id,
    string $prefix,
    string $router,
    string $first,
    string $last,
    ?string $wan = null,
): HouseNetwork {
    return new HouseNetwork(
        $id,
        "network {$id}",
        new LocalNetwork(
            Prefix::parse($prefix),
            Ipv4::parse($router),
            AddressRange::between(Ipv4::parse($first), Ipv4::parse($last)),
            'home.arpa',
        ),
        $wan === null ? null : Ipv4::parse($wan),
        '172.22.8.10',
    );
}

/** @return list<string> codes */
function concernsOf(array $networks, array $boxes = []): array
{
    $codes = (new NetworksConcern())->findings(household($boxes, told: ['networks' => $networks]))->codes();
    sort($codes);

    return $codes;
}

test('a house whose networks are in order is not spoken of, and notes stay in Addresses', function (): void {
    $home = networkOf(1, '172.22.8.0/24', '172.22.8.1', '172.22.8.100', '172.22.8.199');
    expect(
        concernsOf(
            [$home],
            [
                dweller(
                    'larder',
                    address: Ipv4::parse('172.22.8.11'),
                    networkId: 1,
                    mac: Mac::parse('02:4b:1e:77:00:0b'),
                ),
                // It lies elsewhere, and another concern says so.
                dweller('lost', address: Ipv4::parse('10.9.9.9'), networkId: 1, covered: false),
                dweller('new', networkId: 1),
            ],
        ),
    )->toBe([]);
});

test('each network is held against its own boxes, and against the others', function (): void {
    $home = networkOf(1, '172.22.8.0/24', '172.22.8.1', '172.22.8.100', '172.22.8.199', '100.64.3.9');
    $shed = networkOf(2, '172.22.8.0/23', '172.22.8.1', '172.22.8.2', '172.22.8.9');
    $far = networkOf(3, '172.22.40.0/24', '172.22.40.1', '172.22.40.100', '172.22.40.199');
    $at = Ipv4::parse('172.22.8.120');
    $moves = dweller('sieve', job: 'dns-filter', address: $at, networkId: 1, keepsAddress: false);
    expect(concernsOf([$home, $far], [$moves]))
        ->toBe(['addresses.carrier_nat', 'addresses.filter_moves', 'addresses.past_filter'])
        ->and(concernsOf([$far], [$moves]))
        ->toBe([])
        ->and(
            concernsOf(
                [$far, $shed],
                [dweller('larder', address: Ipv4::parse('172.22.8.120'), networkId: 2)],
            ),
        )
        ->toBe([])
        ->and(
            concernsOf([networkOf(1, '172.22.8.0/24', '172.22.8.1', '172.22.8.100', '172.22.8.199'), $shed]),
        )
        ->toBe(['addresses.networks_overlap']);
});

test('one hardware address of two boxes is told once', function (): void {
    $home = networkOf(1, '172.22.8.0/24', '172.22.8.1', '172.22.8.100', '172.22.8.199');
    $mac = Mac::parse('02:4b:1e:77:00:0b');
    expect(
        concernsOf(
            [$home],
            [
                dweller('larder', address: Ipv4::parse('172.22.8.11'), networkId: 1, mac: $mac),
                dweller('sieve', address: Ipv4::parse('172.22.8.10'), networkId: 1, mac: $mac),
            ],
        ),
    )->toHaveCount(1);
});
