<?php

declare(strict_types=1);

use Burrow\Addresses\AddressBook;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\NetworkCheck;
use Burrow\Addresses\Taken;
use Burrow\Addresses\Write\DnsmasqNames;
use Burrow\Addresses\Write\HostsFile;
use Burrow\Addresses\Write\NetworkWriter;
use Burrow\Addresses\Write\SshConfig;
use Burrow\Addresses\Write\UnboundNames;
use Burrow\Addresses\Write\ZoneFile;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;

function book(
    string $prefix = '172.22.8.0/24',
    string $router = '172.22.8.1',
    string $first = '172.22.8.100',
    string $last = '172.22.8.199',
    array $taken = [],
): AddressBook {
    return new AddressBook(
        new LocalNetwork(
            Prefix::parse($prefix),
            Ipv4::parse($router),
            AddressRange::between(Ipv4::parse($first), Ipv4::parse($last)),
            'thistledown.home.arpa',
        ),
        array_map(
            fn (string $name, string $address): Taken => new Taken(Ipv4::parse($address), $name),
            array_keys($taken),
            array_values($taken),
        ),
    );
}

test('the lowest free address from the tenth on', function (): void {
    expect((string) book()->propose())
        ->toBe('172.22.8.10')
        ->and(
            (string) book(
                taken: ['sieve' => '172.22.8.10', 'larder' => '172.22.8.11', 'x' => '172.22.8.13'],
            )->propose(),
        )
        ->toBe('172.22.8.12');
});

test('the pool is stepped over', function (): void {
    expect((string) book(first: '172.22.8.2', last: '172.22.8.249')->propose())
        ->toBe('172.22.8.250')
        ->and((string) book(first: '172.22.8.10', last: '172.22.8.254')->propose())
        ->toBe('172.22.8.2');
});

test('a full network proposes nothing', function (): void {
    expect(book('192.168.4.0/30', '192.168.4.1', '192.168.4.2', '192.168.4.2')->propose())->toBeNull();
});

test('a network of sixteen million addresses is no slower to ask', function (): void {
    expect((string) book('10.0.0.0/8', '10.0.0.1', '10.0.0.2', '10.255.0.0')->propose())->toBe('10.255.0.1');
});

test('the proposed address is never refused', function (): void {
    mt_srand(5);
    for ($i = 0; $i < 200; $i++) {
        $first = mt_rand(2, 200);
        $taken = [];
        foreach (range(0, mt_rand(0, 60)) as $n) {
            $taken["box{$n}"] = '172.22.8.'.mt_rand(2, 254);
        }
        $book = book(first: "172.22.8.{$first}", last: '172.22.8.'.mt_rand($first, 254), taken: $taken);
        $proposed = $book->propose();
        expect($proposed === null || $book->check((string) $proposed)->isEmpty())->toBeTrue();
    }
});

test('clashes are refused with their reason', function (string $address, string $code, string $word): void {
    $finding = book(taken: ['larder' => '172.22.8.11'])->check($address)->list[0];
    expect($finding->code)
        ->toBe($code)
        ->and($finding->found.$finding->why)
        ->toContain($word)
        ->and($finding->do)
        ->toContain('172.22.8.10')
        ->and($finding->place?->field)
        ->toBe('address');
})->with([
    ['172.22.8.300', 'addresses.not_an_address', '172.22.8.300'],
    ['172.22.9.5', 'addresses.outside_prefix', '172.22.8.255'],
    ['172.22.8.0', 'addresses.network_address', 'network'],
    ['172.22.8.255', 'addresses.broadcast', 'broadcast'],
    ['172.22.8.1', 'addresses.router', 'router'],
    ['172.22.8.100', 'addresses.inside_dhcp_pool', '172.22.8.199'],
    ['172.22.8.199', 'addresses.inside_dhcp_pool', 'DHCP'],
    ['172.22.8.11', 'addresses.taken', 'larder'],
]);

test('what is free passes', function (): void {
    foreach (['172.22.8.2', '172.22.8.99', '172.22.8.200', '172.22.8.254', ' 172.22.8.16 '] as $address) {
        expect(book()->check($address)->isEmpty())->toBeTrue();
    }
});

test('a network is described field by field', function (array $typed, array $fields): void {
    $check = NetworkCheck::of(
        ...array_replace(
            [
                '172.22.8.0/24',
                '172.22.8.1',
                '172.22.8.100',
                '172.22.8.199',
                'thistledown.home.arpa',
                'Europe/London',
            ],
            $typed,
        ),
    );
    expect(array_values(array_unique(array_map(fn ($f) => $f->place?->field, $check->findings->list))))
        ->toBe($fields)
        ->and($check->network === null)
        ->toBe($fields !== []);
})->with([
    [[], []],
    [['172.22.8.5/24'], ['prefix']],
    [['203.0.113.0/24', '203.0.113.1', '203.0.113.5', '203.0.113.9'], ['prefix']],
    [['172.22.8.0/31'], ['prefix', 'pool_first', 'pool_last']],
    [[1 => '172.22.9.1'], ['router']],
    [[2 => 'x', 3 => 'y'], ['pool_first', 'pool_last']],
    [[2 => '172.22.8.199', 3 => '172.22.8.100'], ['pool_last']],
    'as large as may be' => [['10.0.0.0/8', '10.0.0.1', '10.0.1.0', '10.0.1.9'], []],
    'as small as may be' => [['172.22.8.0/30', '172.22.8.1', '172.22.8.2', '172.22.8.2'], []],
    'a pool of one' => [[2 => '172.22.8.100', 3 => '172.22.8.100'], []],
    [[4 => 'home_arpa'], ['domain']],
    [[5 => 'GMT+1'], ['time_zone']],
]);

test('a zone holds whoever has an address of either kind, and tells who has none', function (): void {
    $network = new DescribedNetwork(
        'house',
        Prefix::parse('172.22.8.0/24'),
        hosts: [
            new Host('both', Ipv4::parse('172.22.8.11'), ipv6: Ipv6::parse('fd4b:1e90:7:8::b')),
            new Host('old', Ipv4::parse('172.22.8.12')),
            new Host('new', ipv6: Ipv6::parse('fd4b:1e90:7:8::d')),
            new Host('none'),
        ],
    );
    $written = (new ZoneFile())->written([$network]);
    preg_match_all('/^(\w+) +IN (A|AAAA) +(\S+)$/m', (string) $written->text, $records, PREG_SET_ORDER);
    $hosts = array_filter(
        $records,
        fn (array $one): bool => in_array($one[1], ['both', 'old', 'new', 'none'], true),
    );
    expect(array_values(array_map(fn (array $one): string => "{$one[1]} {$one[2]} {$one[3]}", $hosts)))
        ->toBe([
            'both A 172.22.8.11',
            'both AAAA fd4b:1e90:7:8::b',
            'old A 172.22.8.12',
            'new AAAA fd4b:1e90:7:8::d',
        ])
        ->and(array_map(fn ($one): string => $one->found, $written->findings->list))
        ->toHaveCount(1)
        ->and($written->findings->list[0]->found)
        ->toContain('none');
});

test('every file of names tells who has no address, and nobody who has one of its kind', function (
    NetworkWriter $writer,
    array $without,
): void {
    $network = new DescribedNetwork(
        'house',
        Prefix::parse('172.22.8.0/24'),
        domain: 'thistledown.home.arpa',
        hosts: [
            new Host('both', Ipv4::parse('172.22.8.11'), ipv6: Ipv6::parse('fd4b:1e90:7:8::b')),
            new Host('old', Ipv4::parse('172.22.8.12')),
            new Host('new', ipv6: Ipv6::parse('fd4b:1e90:7:8::d')),
            new Host('none'),
        ],
    );
    $written = $writer->written([$network]);
    $told = implode("\n", array_map(fn ($one): string => $one->found, $written->findings->list));
    $named = array_values(
        array_filter(
            ['both', 'old', 'new', 'none'],
            fn (string $name): bool => preg_match("/\\b{$name}\\b/", $told) === 1,
        ),
    );
    expect($named)->toBe($without);
    foreach (array_diff(['both', 'old', 'new'], $without) as $name) {
        expect((string) $written->text)->toContain($name);
    }
})->with([
    'unbound' => [fn () => new UnboundNames(), ['none']],
    'hosts' => [fn () => new HostsFile(), ['none']],
    'dnsmasq' => [fn () => new DnsmasqNames(), ['none']],
    'a zone' => [fn () => new ZoneFile(), ['none']],
]);

test('an account that no system has is not carried into a file', function (string $user, bool $fits): void {
    $described = json_encode([
        'networks' => [
            [
                'name' => 'house',
                'prefix' => '172.22.8.0/24',
                'domain' => 'thistledown.home.arpa',
                'hosts' => [
                    ['name' => 'larder', 'address' => '172.22.8.11'] +
                    ($user === '' ? [] : ['user' => $user]),
                ],
            ],
        ],
    ]);
    $writer = new SshConfig();
    $written = $writer->write($described, (string) file_get_contents($writer->schema()), 'x');
    expect($written->text !== null)->toBe($fits);
    $fits && $user !== '' && expect($written->text)->toContain("User {$user}");
})->with([
    'none' => ['', true],
    'usual' => ['warden', true],
    'with a dollar at its end' => ['machine$', true],
    'the longest' => [str_repeat('a', 31), true],
    'longer' => [str_repeat('a', 33), false],
    'a capital' => ['Warden', false],
    'a line break' => ["warden\nProxyCommand x", false],
]);
