<?php

declare(strict_types=1);

use Burrow\Addresses\AddressBook;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Find\Seen;
use Burrow\Addresses\NetworkExtras;
use Burrow\Addresses\NetworkRules;
use Burrow\Addresses\PoolChange;
use Burrow\Addresses\Scheme;
use Burrow\Addresses\Taken;
use Burrow\Intake\Intake;
use Burrow\Judgement\Line;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;

// Small rules about addresses, both sides of each edge.

function poolOf(string $first, string $last): AddressRange
{
    return AddressRange::between(Ipv4::parse($first), Ipv4::parse($last));
}

test('the address that is proposed in networks of a few', function (
    string $prefix,
    array $pool,
    ?string $proposed,
): void {
    $network = Prefix::parse($prefix);
    $book = new AddressBook(
        new LocalNetwork($network, $network->hosts()->first, poolOf(...$pool), 'thistledown.home.arpa'),
        [],
    );
    expect($book->propose()?->__toString())->toBe($proposed);
})->with([
    'room behind the tenth' => ['172.22.8.0/28', ['172.22.8.13', '172.22.8.13'], '172.22.8.10'],
    'the tenth is handed out, and the next' => [
        '172.22.8.0/28',
        ['172.22.8.10', '172.22.8.13'],
        '172.22.8.14',
    ],
    'all behind it is handed out' => ['172.22.8.0/28', ['172.22.8.10', '172.22.8.14'], '172.22.8.2'],
    'one is left, the last before the tenth' => [
        '172.22.8.0/28',
        ['172.22.8.2', '172.22.8.8'],
        '172.22.8.10',
    ],
    'smaller than ten' => ['172.22.8.0/29', ['172.22.8.2', '172.22.8.5'], '172.22.8.6'],
    'nothing is left' => ['172.22.8.0/29', ['172.22.8.2', '172.22.8.6'], null],
]);

test('a pool that would take addresses tells whose, in their order', function (): void {
    $network = new DescribedNetwork(
        'home',
        Prefix::parse('172.22.8.0/24'),
        Ipv4::parse('172.22.8.1'),
        [poolOf('172.22.8.100', '172.22.8.199')],
        [],
        'thistledown.home.arpa',
        null,
        null,
        [],
        array_map(
            fn (string $name, ?string $at): Host => new Host(
                $name,
                $at === null ? null : Ipv4::parse($at),
                by: HeldBy::Static,
            ),
            ['wren', 'larder', 'press', 'sieve', 'lantern'],
            ['172.22.8.30', '172.22.8.2', '172.22.8.51', '172.22.8.50', null],
        ),
        1,
    );
    $change = PoolChange::of($network, poolOf('172.22.8.1', '172.22.8.50'));
    expect(array_map(fn (Host $one): string => $one->name, $change->inTheWay ?? []))
        ->toBe(['the router', 'larder', 'wren', 'sieve'])
        ->and(PoolChange::of($network, poolOf('172.22.8.254', '172.22.9.1')))
        ->toBeNull()
        ->and(PoolChange::of($network, poolOf('172.22.7.255', '172.22.8.5')))
        ->toBeNull()
        ->and(PoolChange::of($network, poolOf('172.22.8.1', '172.22.8.254')))
        ->not->toBeNull();
});

test('what stands for several machines is no machine', function (string $line, array $seen): void {
    $read = Intake::standard()->read('neighbours', "{$line}\n");
    expect(array_map(fn (Seen $one): string => $one->address, Seen::in($read)))->toBe($seen);
})->with([
    'a machine' => ['172.22.8.16 dev eth0 lladdr 02:4b:1e:90:00:07 REACHABLE', ['172.22.8.16']],
    'a group by its card' => ['172.22.8.16 dev eth0 lladdr 03:4b:1e:90:00:07 REACHABLE', []],
    'everybody' => ['172.22.8.255 dev eth0 lladdr ff:ff:ff:ff:ff:ff PERMANENT', []],
]);

test('groups without a hardware address are told by their own address', function (
    string $address,
    bool $is,
): void {
    $read = Intake::standard()->read(
        'neighbours',
        "Nmap scan report for {$address}\nHost is up (0.1s latency).\n",
    );
    expect(Seen::in($read) !== [])->toBe($is);
})->with([
    ['172.22.8.16', true],
    ['223.255.255.254', true],
    ['224.0.0.1', false],
    ['229.1.2.3', false],
    ['239.255.255.250', false],
    ['240.0.0.1', true],
    ['255.255.255.255', false],
    ['ff02::1', false],
    ['fd4b::1', true],
]);

test('a card that was made up', function (?string $mac, bool $is): void {
    expect((new Seen($mac, '172.22.8.16'))->isMadeUp())->toBe($is);
})->with([
    ['02:4b:1e:90:00:07', true],
    ['00:11:5e:ed:00:05', false],
    ['fe:11:5e:ed:00:05', true],
    ['fd:11:5e:ed:00:05', false],
    [null, false],
]);

test('the scheme of a network that has none', function (string $prefix, array $pools, array $ranges): void {
    $network = new DescribedNetwork(
        'home',
        Prefix::parse($prefix),
        null,
        array_map(fn (array $pool): AddressRange => poolOf(...$pool), $pools),
        [],
        'thistledown.home.arpa',
        null,
        null,
        [],
        [],
        1,
    );
    expect(
        array_map(
            fn ($one): string => "{$one->name} {$one->range->first} {$one->range->last}",
            Scheme::propose($network),
        ),
    )->toBe($ranges);
})->with([
    'nothing in the way' => [
        '172.22.8.0/24',
        [],
        [
            'routers 172.22.8.1 172.22.8.9',
            'boxes 172.22.8.10 172.22.8.49',
            'printers and cameras 172.22.8.50 172.22.8.69',
            'others 172.22.8.70 172.22.8.99',
        ],
    ],
    'a pool over the end of one and the beginning of the next' => [
        '172.22.8.0/24',
        [['172.22.8.40', '172.22.8.59']],
        [
            'routers 172.22.8.1 172.22.8.9',
            'boxes 172.22.8.10 172.22.8.39',
            'printers and cameras 172.22.8.60 172.22.8.69',
            'others 172.22.8.70 172.22.8.99',
        ],
    ],
    'a pool over the whole of one' => [
        '172.22.0.0/16',
        [['172.22.0.10', '172.22.0.69']],
        ['routers 172.22.0.1 172.22.0.9', 'others 172.22.0.70 172.22.0.99'],
    ],
    'too small' => ['172.22.8.0/25', [], []],
]);

test('why an address is proposed has its lines, with the first twelve of those that are taken', function (
    int $taken,
    string $listed,
): void {
    $network = Prefix::parse('172.22.8.0/24');
    $all = array_map(
        fn (int $i): Taken => new Taken($network->network->offset(9 + $i), "box{$i}"),
        $taken === 0 ? [] : range(1, $taken),
    );
    $book = new AddressBook(
        new LocalNetwork(
            $network,
            $network->hosts()->first,
            poolOf('172.22.8.100', '172.22.8.199'),
            'thistledown.home.arpa',
        ),
        $all,
    );
    $lines = array_map(
        fn (Line $one): array => [$one->name, $one->formula, $one->result, $one->source],
        $book->proposalWorking($book->propose() ?? throw new LogicException())->lines,
    );
    expect($lines)->toBe([
        ['network', '', '172.22.8.0/24', '172.22.8.0 to 172.22.8.255'],
        ['router', '', '172.22.8.1', ''],
        ['handed out by the router', '', '172.22.8.100–172.22.8.199', 'DHCP pool, left alone'],
        ['taken', $listed, (string) $taken, ''],
        ['lowest free', 'from .10 on, outside the pool', '172.22.8.'.(10 + $taken), ''],
    ]);
})->with([
    [0, 'none'],
    [1, 'box1 172.22.8.10'],
    [
        13,
        'box1 172.22.8.10, box2 172.22.8.11, box3 172.22.8.12, box4 172.22.8.13, box5 172.22.8.14, box6 172.22.8.15, box7 172.22.8.16, box8 172.22.8.17, box9 172.22.8.18, box10 172.22.8.19, box11 172.22.8.20, box12 172.22.8.21',
    ],
]);

test('pools that share one address overlap, those that touch do not', function (
    string $last,
    bool $overlap,
): void {
    $network = new DescribedNetwork(
        'home',
        Prefix::parse('172.22.8.0/24'),
        null,
        [poolOf('172.22.8.100', $last), poolOf('172.22.8.120', '172.22.8.140')],
        [],
        'thistledown.home.arpa',
    );
    $found = in_array('addresses.pools_overlap', NetworkRules::against([$network])->codes(), true);
    expect($found)->toBe($overlap);
})->with([['172.22.8.119', false], ['172.22.8.120', true]]);

test('a range of one address is a range', function (): void {
    $extras = fn (string $line) => NetworkExtras::of('', '', $line, Prefix::parse('172.22.8.0/24'));
    expect($extras('servers 172.22.8.10 172.22.8.10')->findings->isEmpty())
        ->toBeTrue()
        ->and($extras('servers 172.22.8.11 172.22.8.10')->findings->isEmpty())
        ->toBeFalse()
        ->and($extras('servers x 172.22.8.10')->findings->list[0]->found)
        ->toContain('x');
});

test('what stands twice is told some times of each kind, not without end', function (): void {
    $hosts = array_map(
        fn (int $at): Host => new Host("h{$at}", Ipv4::parse('172.22.8.10'), Mac::parse('02:4b:1e:90:00:01')),
        range(1, 60),
    );
    $network = new DescribedNetwork(
        'home',
        Prefix::parse('172.22.8.0/24'),
        pools: [poolOf('172.22.8.100', '172.22.8.199')],
        hosts: $hosts,
    );
    $told = array_count_values(NetworkRules::against([$network])->codes());
    expect([$told['addresses.address_twice'], $told['addresses.mac_twice']])->toBe([50, 50]);
});
