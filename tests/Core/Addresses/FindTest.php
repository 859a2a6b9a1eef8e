<?php

declare(strict_types=1);

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\NamedRange;
use Burrow\Addresses\Described\Room;
use Burrow\Addresses\Draw\AddressBand;
use Burrow\Addresses\Draw\Peg;
use Burrow\Addresses\Draw\Standing;
use Burrow\Addresses\Draw\StandingKind;
use Burrow\Addresses\Find\Candidate;
use Burrow\Addresses\Find\Candidates;
use Burrow\Addresses\Find\Change;
use Burrow\Addresses\Find\KnownKey;
use Burrow\Addresses\Find\KnownKeys;
use Burrow\Addresses\Find\Ours;
use Burrow\Addresses\Find\Seen;
use Burrow\Addresses\Find\Wanted;
use Burrow\Addresses\NetworkExtras;
use Burrow\Addresses\NetworkRules;
use Burrow\Addresses\PoolChange;
use Burrow\Addresses\Scheme;
use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Net\Address;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;

/** A network of the house with these hosts: "name address" or "name address kind". */
function home(array $hosts = [], mixed ...$with): DescribedNetwork
{
    return new DescribedNetwork(
        ...[
            'name' => 'home',
            'prefix' => Prefix::parse('172.22.8.0/24'),
            'gateway' => Ipv4::parse('172.22.8.1'),
            'pools' => [AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199'))],
            'hosts' => array_map(function (string|Host $line): Host {
                if ($line instanceof Host) {
                    return $line;
                }
                [$name, $address, $kind] = [...explode(' ', $line), '', ''];

                return new Host($name, Ipv4::tryParse($address), kind: $kind);
            }, $hosts),
            ...$with,
        ],
    );
}

/** @return list<string> codes of what speaks against these networks */
function against(DescribedNetwork ...$networks): array
{
    return NetworkRules::against(array_values($networks))->codes();
}

test('nothing speaks against a network as it should be', function (): void {
    $filter = new Host('sieve', Ipv4::parse('172.22.8.10'), Mac::parse('02:4b:1e:90:00:01'), filters: true);
    $second = new Host('riddle', Ipv4::parse('172.22.8.11'), Mac::parse('02:4b:1e:90:00:02'), filters: true);
    expect(against(home([$filter, $second], dns: [$filter->address, $second->address])))->toBe([]);
});

test('each trouble of a network has its own word', function (DescribedNetwork $network, string $code): void {
    expect(against($network))->toContain($code);
})->with([
    'router elsewhere' => [fn () => home(gateway: Ipv4::parse('172.22.9.1')), 'addresses.outside_prefix'],
    'router at the edge' => [fn () => home(gateway: Ipv4::parse('172.22.8.255')), 'addresses.broadcast'],
    'router in the pool' => [
        fn () => home(gateway: Ipv4::parse('172.22.8.100')),
        'addresses.inside_dhcp_pool',
    ],
    'carrier' => [fn () => home(wan: Ipv4::parse('100.127.255.255')), 'addresses.carrier_nat'],
    'two routers' => [fn () => home(wan: Ipv4::parse('192.168.1.7')), 'addresses.double_nat'],
    'no lease outside' => [fn () => home(wan: Ipv4::parse('169.254.3.4')), 'addresses.link_local'],
    'network address' => [fn () => home(['wren 172.22.8.0']), 'addresses.network_address'],
    'the router\'s own' => [fn () => home(['wren 172.22.8.1']), 'addresses.router'],
    'no lease' => [fn () => home(['wren 169.254.3.4']), 'addresses.link_local'],
    'reserved in the pool' => [fn () => home(['wren 172.22.8.120']), 'addresses.reserved_in_pool'],
    'fixed in the pool' => [
        fn () => home(hosts: [new Host('wren', Ipv4::parse('172.22.8.120'), by: HeldBy::Static)]),
        'addresses.inside_dhcp_pool',
    ],
    'twice an address' => [fn () => home(['wren 172.22.8.16', 'lark 172.22.8.16']), 'addresses.address_twice'],
    'twice a name' => [fn () => home(['wren 172.22.8.16', 'Wren 172.22.8.17']), 'addresses.name_twice'],
    'a group' => [
        fn () => home(hosts: [new Host('wren', Ipv4::parse('172.22.8.16'), Mac::parse('01:4b:1e:90:00:01'))]),
        'addresses.group_mac',
    ],
    'a filter that moves' => [
        fn () => home(hosts: [new Host('sieve', by: HeldBy::Dhcp, filters: true)]),
        'addresses.filter_moves',
    ],
    'past the filter' => [
        fn () => home(
            hosts: [new Host('sieve', Ipv4::parse('172.22.8.10'), filters: true)],
            dns: [Ipv4::parse('172.22.8.10'), Address::tryParse('fd4b:1e90::1')],
        ),
        'addresses.past_filter',
    ],
    'one resolver' => [fn () => home(dns: [Ipv4::parse('172.22.8.1')]), 'addresses.one_resolver'],
    'common' => [
        fn () => home(prefix: Prefix::parse('192.168.1.0/24'), gateway: Ipv4::parse('192.168.1.1'), pools: []),
        'addresses.common_prefix',
    ],
    'public' => [
        fn () => home(prefix: Prefix::parse('172.32.8.0/24'), gateway: Ipv4::parse('172.32.8.1'), pools: []),
        'addresses.not_private',
    ],
    'full' => [
        fn () => home(pools: [AddressRange::between(Ipv4::parse('172.22.8.2'), Ipv4::parse('172.22.8.254'))]),
        'addresses.full',
    ],
    'against the scheme' => [
        fn () => home(
            ['wren 172.22.8.60 servers'],
            ranges: [
                new NamedRange(
                    'servers',
                    AddressRange::between(Ipv4::parse('172.22.8.10'), Ipv4::parse('172.22.8.49')),
                ),
            ],
        ),
        'addresses.against_scheme',
    ],
    'no such range' => [fn () => home(['wren 172.22.8.60 barns']), 'addresses.unknown_range'],
    'pools' => [
        fn () => home(
            pools: [
                AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.150')),
                AddressRange::between(Ipv4::parse('172.22.8.150'), Ipv4::parse('172.22.8.199')),
            ],
        ),
        'addresses.pools_overlap',
    ],
]);

test('networks that overlap are named, those beside each other are not', function (): void {
    $other = fn (string $prefix): DescribedNetwork => new DescribedNetwork('study', Prefix::parse($prefix));
    expect(against(home(), $other('172.22.8.128/25')))
        ->toContain('addresses.networks_overlap')
        ->and(against(home(), $other('172.22.9.0/24')))
        ->not->toContain('addresses.networks_overlap');
});

test('the IPv6 of the house is not past the filter', function (): void {
    $network = home(
        hosts: [new Host('sieve', Ipv4::parse('172.22.8.10'), filters: true)],
        dns: [Ipv4::parse('172.22.8.10'), Address::tryParse('fd4b:1e90:7:8::10')],
        ipv6: Ipv6Prefix::parse('fd4b:1e90:7:8::/64'),
    );
    expect(against($network))->not->toContain('addresses.past_filter');
});

const BEFORE = "1795691763 02:4b:1e:77:00:0a 172.22.8.10 sieve *\n1795691763 3a:51:9c:02:44:10 172.22.8.104 * *\n1795691763 00:11:5e:ed:00:05 172.22.8.120 desk *\n";

/** @return list<Candidate> */
function found(string $now, ?string $before = BEFORE, ?Wanted $wanted = null, ?Ours $ours = null): array
{
    $seen = fn (string $text): array => Seen::in(Intake::standard()->read('auto', $text));

    return Candidates::among(
        $seen($now),
        $before === null ? null : $seen($before),
        $ours ??
            new Ours(
                ['02:4b:1e:77:00:0a' => 'sieve'],
                ['00:11:5e:ed:00:05' => 'the desk'],
                ['172.22.8.10' => 'sieve'],
            ),
        $wanted,
        ['02:4b:1e' => 'A maker'],
    );
}

test('what is new is it, and a phone that came home comes after it', function (): void {
    $all = found(
        BEFORE.
            "1795691999 7a:40:3c:99:10:07 172.22.8.133 * *\n1795691999 02:4b:1e:90:00:18 172.22.8.131 * *\n",
        wanted: new Wanted('wren'),
    );
    expect($all[0]->seen->address)
        ->toBe('172.22.8.131')
        ->and($all[0]->isNew)
        ->toBeTrue()
        ->and($all[0]->reasons)
        ->toBe([
            'it was not in the list before',
            'its hardware address begins like that of sieve',
            'made by A maker',
        ])
        ->and($all[1]->seen->address)
        ->toBe('172.22.8.133')
        ->and(implode(' ', $all[1]->reasons))
        ->toContain('as phones do')
        ->and(array_map(fn (Candidate $one): string => $one->as->value, $all))
        ->toBe(['stranger', 'stranger', 'stranger', 'ours', 'known']);
});

test('a hardware address weighs more than a name, and two of one name are said', function (): void {
    $all = found(
        "1795691999 02:4b:1e:90:00:18 172.22.8.131 * *\n1795691999 02:4b:1e:90:00:19 172.22.8.132 wren *\n1795691999 02:4b:1e:90:00:20 172.22.8.133 Wren.home.arpa *\n",
        wanted: new Wanted('wren', '02:4b:1e:90:00:18'),
    );
    expect($all[0]->seen->address)
        ->toBe('172.22.8.131')
        ->and($all[1]->reasons)
        ->toContain('another one calls itself so, too');
});

test('without a list before nothing is new; one that went away is told', function (): void {
    $seen = fn (string $text): array => Seen::in(Intake::standard()->read('auto', $text));
    expect(array_filter(found(BEFORE, null), fn (Candidate $one): bool => $one->isNew))
        ->toBe([])
        ->and(
            array_map(
                fn (Seen $one): ?string => $one->name,
                Candidates::gone($seen(explode("\n", BEFORE)[0]), $seen(BEFORE)),
            ),
        )
        ->toBe([null, 'desk']);
});

test('of a list only machines are taken', function (): void {
    $seen = Seen::in(
        Intake::standard()->read(
            'neighbours',
            (string) file_get_contents(__DIR__.'/../Intake/samples/neighbours/win-arp.txt'),
        ),
        Intake::standard()->read(
            'neighbours',
            (string) file_get_contents(__DIR__.'/../Intake/samples/neighbours/neigh.txt'),
        ),
        Intake::standard()->read(
            'leases',
            "lease 172.22.8.99 { binding state free; hardware ethernet 02:4b:1e:90:00:99; }\n",
        ),
    );
    // Broadcast, what did not answer and what was given back are left out; IPv4 goes before IPv6 of one machine.
    expect(array_map(fn (Seen $one): string => $one->address, $seen))->toBe(['172.22.8.1', '172.22.8.16']);
});

test('a board\'s own screen says where it is', function (): void {
    $seen = Seen::in(
        Intake::standard()->read(
            'auto',
            (string) file_get_contents(__DIR__.'/../Intake/samples/own-address/screen.txt'),
        ),
    );
    expect(array_map(fn (Seen $one): array => [$one->mac, $one->address], $seen))->toBe([
        ['02:4b:1e:90:00:07', '172.22.8.134'],
    ]);
});

test('card and board are told apart', function (): void {
    expect([
        Change::of('a', 'a', 'k', 'l'),
        Change::of('a', 'b', 'k', 'k'),
        Change::of('a', 'b', 'k', 'l'),
        Change::of('a', 'a', 'k', 'k'),
        Change::of(null, 'a', null, 'k'),
    ])->toBe([Change::Card, Change::Board, Change::Both, null, null]);
});

test('the band shows every address once, and no stem crosses a name', function (
    int $length,
    int $count,
): void {
    mt_srand($length * 1000 + $count);
    $prefix = Prefix::around(Ipv4::parse('10.20.0.0'), $length);
    $standing = [];
    for ($i = 0; $i < $count; $i++) {
        $standing[] = new Standing(
            $prefix->network->offset(mt_rand(1, $prefix->size() - 2)),
            str_repeat('n', mt_rand(2, 14)),
            StandingKind::Reservation,
        );
    }
    $network = home(prefix: $prefix, gateway: null, pools: []);
    $band = AddressBand::of($network, $standing);
    $last = $prefix->network->number - 1;
    foreach ($band->shelves as $shelf) {
        expect($shelf->range->first->number)->toBe($last + 1);
        $last = $shelf->range->last->number;
        $named = array_values(array_filter($shelf->pegs, fn (Peg $peg): bool => $peg->level > 0));
        foreach ($named as $i => $peg) {
            $end = $peg->x + strlen($peg->standing->name) * 7.3;
            foreach (array_slice($named, $i + 1) as $right) {
                // Whoever stands below a name to its right has its own name lower.
                expect($right->x >= $end || $right->level < $peg->level)->toBeTrue();
            }
        }
    }
    expect($last)->toBe($prefix->broadcast()->number);
})->with([[24, 5], [24, 60], [24, 200], [28, 10], [16, 5000], [22, 300]]);

test('a scheme keeps out of the pool and fits the network', function (): void {
    foreach ([[100, 199], [2, 99], [20, 60], [2, 254]] as [$from, $to]) {
        $pool = AddressRange::between(Ipv4::parse("172.22.8.{$from}"), Ipv4::parse("172.22.8.{$to}"));
        foreach (Scheme::propose(home(pools: [$pool])) as $named) {
            expect($pool->contains($named->range->first) || $pool->contains($named->range->last))
                ->toBeFalse()
                ->and(
                    $named->range->first->number < $pool->first->number &&
                        $named->range->last->number > $pool->last->number,
                )
                ->toBeFalse();
        }
    }
    $ranges = Scheme::propose(home());
    // As it is typed in Settings, it is read back.
    expect(
        NetworkExtras::of('', '', NetworkExtras::lines($ranges), Prefix::parse('172.22.8.0/24'))->ranges,
    )->toEqual($ranges);
});

test('what is typed of a network is read, or said at its field', function (
    string $dns,
    string $ipv6,
    string $ranges,
    array $fields,
): void {
    $extras = NetworkExtras::of($dns, $ipv6, $ranges, Prefix::parse('172.22.8.0/24'));
    expect(array_map(fn ($one): ?string => $one->place?->field, $extras->findings->list))->toBe($fields);
})->with([
    'all well' => [
        '172.22.8.10, fd4b:1e90:7:8::10',
        'fd4b:1e90:7::/48',
        "servers 172.22.8.10 - 172.22.8.49\r\n",
        [],
    ],
    'no address' => ['172.22.8.10 172.22.8', '', '', ['dns']],
    'not the house\'s' => ['', '2001:db8::/48', '', ['ipv6']],
    'no prefix' => ['', 'fd4b', '', ['ipv6']],
    'backwards' => ['', '', 'servers 172.22.8.49 172.22.8.10', ['ranges']],
    'outside' => ['', '', 'servers 172.22.9.1 172.22.9.9', ['ranges']],
    'half outside' => ['', '', 'servers 172.22.8.200 172.22.9.9', ['ranges']],
    'no range' => ['', '', 'servers', ['ranges']],
]);

test('a free address is offered from the tenth on, and inside a range of its own', function (): void {
    $room = Room::of(home(['a 172.22.8.10', 'b 172.22.8.11']));
    $servers = AddressRange::between(Ipv4::parse('172.22.8.10'), Ipv4::parse('172.22.8.12'));
    expect([
        (string) $room->next(Ipv4::parse('172.22.8.10')),
        (string) $room->within($servers)->next(),
        $room->free(),
    ])->toBe(['172.22.8.12', '172.22.8.12', 151]);
});

test('a pool that moves meets whoever stands in its way', function (): void {
    $network = home(['a 172.22.8.10', 'b 172.22.8.60', 'c 172.22.8.250']);
    $range = fn (string $from, string $to): AddressRange => AddressRange::between(
        Ipv4::parse($from),
        Ipv4::parse($to),
    );
    $change = PoolChange::of($network, $range('172.22.8.1', '172.22.8.99'));
    expect(array_map(fn (Host $host): string => $host->name, $change->inTheWay ?? []))
        ->toBe(['the router', 'a', 'b'])
        // 254 − 99 handed out − c; now 254 − 100 − router − a, b, c.
        ->and([$change?->freeThen, $change?->freeNow])
        ->toBe([154, 150])
        ->and(PoolChange::of($network, $range('172.22.8.200', '172.22.9.10')))
        ->toBeNull();
});

test('a file of known hosts is held against the keys that are kept', function (): void {
    $text = (string) file_get_contents(__DIR__.'/../Intake/samples/hostkeys/knownh.txt');
    $entries = Intake::standard()->read('hostkeys', $text)->all(KeySeen::class);
    $kept = 'SHA256:+0E14zRrGBFPctGxR8EteEn6RXnb1NYqbP7KjpAZ9IM';
    $said = fn (?string $sha256): array => array_map(
        fn (KnownKey $one): array => [$one->name, $one->same],
        KnownKeys::against($entries, [
            'wren' => ['names' => ['wren.home.arpa', '172.22.8.16', 'wren'], 'sha256' => $sha256],
            'larder' => ['names' => ['larder'], 'sha256' => $kept],
        ]),
    );
    // The host shows three keys; the one that is kept is among them, so the two others contradict nothing.
    expect($said($kept))
        ->toBe([['172.22.8.16', true], ['wren.home.arpa', true]])
        ->and(array_unique(array_column($said('SHA256:another'), 1)))
        ->toBe([false])
        ->and(array_unique(array_column($said(null), 1)))
        ->toBe([null])
        ->and((new KnownKey('wren', '[wren]:2222', 'ssh-ed25519', $kept, false))->removal())
        ->toBe('ssh-keygen -R "[wren]:2222"');
});

test('a machine may stand in two networks under one name, an address may not stand twice', function (): void {
    $study = fn (string $address): DescribedNetwork => new DescribedNetwork(
        'study',
        Prefix::parse('172.22.9.0/24'),
        hosts: [new Host('wren', Ipv4::parse($address), Mac::parse('02:4b:1e:90:00:01'))],
    );
    $home = home([new Host('wren', Ipv4::parse('172.22.8.16'), Mac::parse('02:4b:1e:90:00:01'))]);
    expect(against($home, $study('172.22.9.16')))
        ->not->toContain('addresses.name_twice')
        ->not->toContain('addresses.mac_twice')
        ->and(against($home, $study('172.22.8.16')))
        ->toContain('addresses.address_twice');
});

test('an open port for remote login speaks for a machine, another one does not', function (): void {
    $reasons = fn (int $port): array => Candidates::among(
        [new Seen('02:4b:1e:90:00:18', '172.22.8.131', null, [$port])],
        null,
        new Ours(),
    )[0]->reasons;
    expect($reasons(22))
        ->toContain('its port for remote login is open')
        ->and($reasons(80))
        ->not->toContain('its port for remote login is open');
});

test('what is offered next begins with the tenth, in networks that have so many', function (
    string $prefix,
    array $hosts,
    ?string $next,
): void {
    $network = home($hosts, prefix: Prefix::parse($prefix), pools: [], gateway: null);
    $room = Room::of($network);
    expect($room->next($room->firstOffered($network))?->__toString())->toBe($next);
})->with([
    ['172.22.8.0/24', [], '172.22.8.10'],
    ['172.22.8.0/24', ['larder 172.22.8.10'], '172.22.8.11'],
    ['172.22.8.0/24', ['larder 172.22.8.9'], '172.22.8.10'],
    ['172.22.8.0/27', [], '172.22.8.10'],
    ['172.22.8.0/28', [], '172.22.8.1'],
    ['172.22.8.0/28', ['larder 172.22.8.1'], '172.22.8.2'],
]);

test('each sign has its weight, whoever is looked for', function (
    string $line,
    ?string $wanted,
    array $told,
): void {
    $all = found(
        "1795691999 {$line}\n",
        wanted: $wanted === null
            ? null
            : new Wanted($wanted, $wanted === 'wren' ? '02:4b:1e:90:00:18' : null),
    );
    expect([$all[0]->weight, ...$all[0]->reasons])->toBe($told);
})->with([
    'its hardware address, and it is new' => [
        '02:4b:1e:90:00:18 172.22.8.131 * *',
        'wren',
        [
            160,
            'it has its hardware address',
            'it was not in the list before',
            'its hardware address begins like that of sieve',
            'made by A maker',
        ],
    ],
    'its name alone' => [
        '3a:51:9c:02:44:10 172.22.8.104 press *',
        'press',
        [35, 'it calls itself so', 'it made its hardware address up itself, as phones do'],
    ],
    'a box of ours, while another one is wanted' => [
        '02:4b:1e:77:00:0a 172.22.8.10 sieve *',
        'press',
        [-200, 'it is sieve'],
    ],
    'a box of ours, while nobody is wanted' => [
        '02:4b:1e:77:00:0a 172.22.8.10 sieve *',
        null,
        [-30, 'it is sieve'],
    ],
    'a device that is known' => [
        '00:11:5e:ed:00:05 172.22.8.120 desk *',
        null,
        [-30, 'it is known: the desk'],
    ],
    'at the address of another one' => [
        '00:11:5e:ed:00:09 172.22.8.10 * *',
        'press',
        [40, 'it was not in the list before', 'its address is on record for sieve'],
    ],
]);

test('of two with one name both are told, and neither weighs less', function (): void {
    $all = found(
        "1795691999 00:11:5e:ed:00:09 172.22.8.131 press *\n1795691999 00:11:5e:ed:00:0a 172.22.8.132 press *\n",
        wanted: new Wanted('press'),
    );
    expect(array_map(fn (Candidate $one): array => [$one->weight, ...$one->reasons], $all))->toBe(
        array_fill(0, 2, [
            100,
            'it calls itself so',
            'it was not in the list before',
            'another one calls itself so, too',
        ]),
    );
});

test(
    'keys that are another come first, then those that nobody kept, each by box and name',
    function (): void {
        $seen = fn (string $host): KeySeen => new KeySeen($host, 'ssh-ed25519', 'SHA256:here');
        $kept = fn (string $name, ?string $sha256): array => ['names' => [$name], 'sha256' => $sha256];
        $found = KnownKeys::against(array_map($seen, ['wren', 'larder', 'sieve', 'hub']), [
            'wren' => $kept('wren', 'SHA256:here'),
            'larder' => $kept('larder', null),
            'sieve' => $kept('sieve', 'SHA256:another'),
            'hub' => $kept('hub', null),
        ]);
        expect(array_column($found, 'box'))->toBe(['sieve', 'hub', 'larder', 'wren']);
    },
);
