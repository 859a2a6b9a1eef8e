<?php

declare(strict_types=1);

use Burrow\Household\Access;
use Burrow\Household\Household;
use Burrow\Household\Opening;
use Burrow\Household\Service;
use Burrow\Household\Trial;
use Burrow\Household\WanKind;
use Burrow\Household\WayIn;
use Burrow\Household\WhoReaches;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Reach\Draw\ReachPicture;
use Burrow\Reach\OutsideAnswers;
use Burrow\Reach\OutsideTest;
use Burrow\Reach\Schools;
use Burrow\Reach\TravellersAway;
use Burrow\Reach\Tunnel\Mtu;
use Burrow\Reach\Tunnel\TunnelAnswer;
use Burrow\Reach\TypedOpening;

const KEY_ONE = 'KS7cfWkmZFiCKoscoiZHA+F+yb1KpC7GouoHAwNIP1w=';

const KEY_TWO = 'XSIEqAyW2I18cjg+tAc6ztCb9zlkuxn4lp3hVSpTq38=';

/** A tunnel that nothing speaks against, changed. */
function tunnel(array $with = []): TunnelAnswer
{
    $described = array_replace(
        [
            'endpoint' => ['box' => 'culvert', 'outside' => 'seeds.example.net', 'public_key' => KEY_ONE],
            'house' => ['172.22.8.0/24'],
            'names' => ['172.22.8.10'],
            'devices' => [['name' => "warden's phone", 'public_key' => KEY_TWO]],
        ],
        $with,
    );

    return TunnelAnswer::to(
        (string) json_encode($described),
        (string) file_get_contents('core/Reach/schema/tunnel.schema.json'),
        'tunnel.yaml',
    );
}

test('a tunnel has its files, its network inside and the addresses of its devices', function (): void {
    $answer = tunnel([
        'devices' => [['name' => 'one'], ['name' => 'two', 'address' => '10.73.12.2'], ['name' => 'three']],
    ]);
    expect($answer->findings->codes())
        ->toBe([])
        ->and($answer->plan?->net->prefix())
        ->toBe('10.73.12.0/24')
        ->and(array_map(fn ($one): string => "{$one->name} {$one->address}", $answer->plan->devices ?? []))
        ->toBe(['one 10.73.12.3', 'two 10.73.12.2', 'three 10.73.12.4'])
        ->and(array_keys($answer->files()))
        ->toBe(['endpoint', 'one', 'two', 'three']);
});

test('no private key stands in any file, and one in the description is refused', function (): void {
    expect(implode('', tunnel()->files()))
        ->not->toContain('PrivateKey')
        ->and(tunnel(['devices' => [['name' => 'one', 'private_key' => KEY_TWO]]])->findings->blocks())
        ->toBeTrue();
});

test('what speaks against a tunnel', function (array $with, array $codes): void {
    expect(tunnel($with)->findings->codes())->toBe($codes);
})->with([
    'inside the house' => [['net' => '172.22.8.0/24'], ['reach.net_collides']],
    'over the house' => [['net' => '172.22.0.0/16'], ['reach.net_collides']],
    'where a traveller sits' => [
        ['net' => '10.73.12.0/24', 'elsewhere' => ['10.73.0.0/16']],
        ['reach.net_collides'],
    ],
    'not private' => [['net' => '203.0.113.0/24'], ['reach.not_a_tunnel_net']],
    'bits of a machine' => [['net' => '10.73.12.1/24'], ['reach.not_a_tunnel_net']],
    'the house is there, too' => [['elsewhere' => ['172.22.0.0/16']], ['reach.same_prefix_there']],
    'carrier NAT by its address' => [['wan' => ['address' => '100.71.3.4']], ['reach.carrier_nat']],
    'carrier NAT whatever is said' => [
        ['wan' => ['kind' => 'fixed', 'address' => '100.64.0.1']],
        ['reach.carrier_nat'],
    ],
    'just outside of it' => [['wan' => ['kind' => 'fixed', 'address' => '100.128.0.1']], []],
    'router behind router' => [['wan' => ['address' => '192.168.178.20']], ['reach.router_behind_router']],
    'an address that changes' => [
        [
            'wan' => ['kind' => 'changing'],
            'endpoint' => ['outside' => '203.0.113.27', 'public_key' => KEY_ONE],
        ],
        ['reach.changing_address'],
    ],
    'an address that stays' => [
        ['wan' => ['kind' => 'fixed'], 'endpoint' => ['outside' => '203.0.113.27', 'public_key' => KEY_ONE]],
        [],
    ],
    'a mistyped address' => [['endpoint' => ['outside' => '203.0.113']], ['reach.not_reachable']],
    'a word' => [['endpoint' => ['outside' => 'seeds']], ['reach.not_reachable']],
    'two devices, one key' => [
        ['devices' => [['name' => 'a', 'public_key' => KEY_TWO], ['name' => 'b', 'public_key' => KEY_TWO]]],
        ['reach.key_twice'],
    ],
    'the key of the endpoint' => [
        ['devices' => [['name' => 'a', 'public_key' => KEY_ONE]]],
        ['reach.key_twice'],
    ],
    'two devices, one address' => [
        [
            'devices' => [
                ['name' => 'a', 'address' => '10.73.12.9'],
                ['name' => 'b', 'address' => '10.73.12.9'],
            ],
        ],
        ['reach.address_twice'],
    ],
    'the address of the endpoint' => [
        ['devices' => [['name' => 'a', 'address' => '10.73.12.1']]],
        ['reach.address_twice'],
    ],
    'an address that is not inside' => [
        ['devices' => [['name' => 'a', 'address' => '10.73.13.2']]],
        ['reach.outside_net'],
    ],
    'the broadcast address' => [
        ['devices' => [['name' => 'a', 'address' => '10.73.12.255']]],
        ['reach.outside_net'],
    ],
    'two of one name' => [['devices' => [['name' => 'Phone'], ['name' => 'phone']]], ['reach.name_twice']],
    'a name over two lines' => [['devices' => [['name' => "a\n[Peer]"]]], ['yaml.control_in_value']],
    'no resolver' => [['names' => []], ['reach.no_names']],
    'a key cut short' => [
        ['devices' => [['name' => 'a', 'public_key' => substr(KEY_TWO, 1)]]],
        ['reach.not_a_key'],
    ],
    'a key of other spelling' => [
        ['devices' => [['name' => 'a', 'public_key' => substr(KEY_TWO, 0, 42).'9=']]],
        ['reach.not_a_key'],
    ],
    'a narrow line' => [['wan' => ['mtu' => 1300]], []],
    'a narrow line through which IPv6 goes, too' => [
        ['wan' => ['mtu' => 1300], 'devices' => [['name' => 'a', 'everything' => true]]],
        ['reach.mtu_too_small'],
    ],
    'a house that has all of the private addresses' => [
        ['house' => ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16']],
        ['reach.net_collides'],
    ],
    'more devices than addresses' => [
        [
            'net' => '10.73.12.0/29',
            'devices' => array_map(fn (int $i): array => ['name' => "d{$i}"], range(1, 7)),
        ],
        ['reach.net_full', 'reach.net_full'],
    ],
]);

test('a net is proposed that no part of the house has', function (array $house, string $net): void {
    $plan = tunnel(['house' => $house])->plan;
    expect($plan?->net->prefix())->toBe($net);
})->with([
    [['172.22.8.0/24'], '10.73.12.0/24'],
    [['10.73.0.0/16'], '10.74.0.0/24'],
    [['10.0.0.0/8'], '172.29.12.0/24'],
    [['10.0.0.0/8', '172.16.0.0/12'], '192.168.12.0/24'],
    [['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/17'], '192.168.128.0/24'],
]);

test('an interface is one that wg-quick takes', function (string $interface, bool $may): void {
    $found = tunnel(['endpoint' => ['outside' => 'seeds.example.net', 'interface' => $interface]])->findings;
    expect($found->blocks())->toBe(! $may);
})->with([
    ['wg0', true],
    ['wg-home.1', true],
    ['wg0;reboot', false],
    ['wg0 x', false],
    ['', false],
    ['a-name-too-long-for-one', false],
    ['../x', false],
]);

test('an outside that is an IPv6 address is reached over IPv6', function (): void {
    $mtu = fn (string $outside, bool $six): int => tunnel([
        'endpoint' => ['outside' => $outside],
        'wan' => ['ipv6' => $six],
    ])->plan->mtu->bytes;
    expect($mtu('2001:db8::7', false))
        ->toBe(1420)
        ->and($mtu('seeds.example.net', false))
        ->toBe(1440)
        ->and($mtu('203.0.113.27', false))
        ->toBe(1440);
});

test('the largest packet inside', function (int $link, bool $six, int $bytes): void {
    $mtu = new Mtu($link, $six);
    expect($mtu->bytes)
        ->toBe($bytes)
        ->and($mtu->working()->result)
        ->toBe("{$bytes} bytes");
})->with([
    // Common practice: 1420 by default, 60 less over IPv4 and 80 less over IPv6.
    'Ethernet, either' => [1500, true, 1420],
    'Ethernet, IPv4 only' => [1500, false, 1440],
    'PPPoE (RFC 2516)' => [1492, true, 1412],
]);

test('what an outside address tells', function (string $address, ?string $kind): void {
    expect(WanKind::ofAddress(Ipv4::parse($address))?->value)->toBe($kind);
})->with([
    'RFC 6598, first' => ['100.64.0.0', 'carrier-nat'],
    'RFC 6598, last' => ['100.127.255.255', 'carrier-nat'],
    'beyond' => ['100.128.0.0', null],
    'before' => ['100.63.255.255', null],
    'RFC 1918' => ['172.31.255.255', 'behind-router'],
    'public' => ['172.32.0.0', null],
]);

test('the recommended way fits the connection', function (
    ?WanKind $wan,
    bool $everybody,
    string $best,
): void {
    $told = Schools::compare($wan, $everybody);
    expect($told[0]['id'])
        ->toBe($best)
        ->and($told[0]['best'])
        ->toBeTrue()
        ->and(count(array_filter($told, fn (array $one): bool => $one['best'])))
        ->toBe(1)
        ->and($told[0]['fits'])
        ->toBeTrue();
})->with([
    'changing' => [WanKind::Changing, false, 'tunnel'],
    'not known' => [null, false, 'tunnel'],
    'behind a router' => [WanKind::BehindRouter, false, 'tunnel'],
    'carrier NAT' => [WanKind::CarrierNat, false, 'relay'],
    'carrier NAT, a page for everybody' => [WanKind::CarrierNat, true, 'relay'],
    'fixed, a page for everybody' => [WanKind::Fixed, true, 'forward'],
]);

test('what is tried from outside: openings answer, what is usual does not', function (): void {
    $house = household(
        [dweller('culvert'), dweller('larder')],
        [],
        [
            'culvert' => [new Opening('culvert', 51944, 'udp', inside: 51944, purpose: 'tunnel')],
            'larder' => [new Opening('larder', 8445, 'tcp', inside: 8081, purpose: 'seed list')],
        ],
    );
    $tests = array_map(
        fn (OutsideTest $one): string => "{$one->port} {$one->protocol} ".
            ($one->mustAnswer ? 'answers' : 'shut'),
        OutsideTest::plan($house, 'seeds.example.net'),
    );
    expect($tests)->toBe([
        '51944 udp answers',
        '8445 tcp answers',
        '22 tcp shut',
        '53 tcp shut',
        '445 tcp shut',
        '8081 tcp shut',
    ]);
});

/** What was tried an hour ago: "22 tcp shut answered" is a port that should have been shut and answered. */
function tried(string $line): Trial
{
    [$port, $protocol, $must, $did] = explode(' ', $line);

    return new Trial(
        (int) $port,
        $protocol,
        $must === 'answers',
        $did === 'answered',
        (new DateTimeImmutable(THREE_O_CLOCK))->modify('-1 hour'),
    );
}

test('what was tried from outside is held against what the record says now', function (
    array $lines,
    array $codes,
    array $more,
): void {
    $house = household(
        [dweller('culvert')],
        openings: ['culvert' => [new Opening('culvert', 51944, 'udp', inside: 51944)]],
        trials: array_map(tried(...), $lines),
    );
    expect((new OutsideAnswers())->findings($house)->codes())->toBe($codes);
    $ports = array_map(
        fn (OutsideTest $one): string => "{$one->port} {$one->protocol}",
        OutsideTest::plan($house, ''),
    );
    expect(array_values(array_diff($ports, ['51944 udp', '22 tcp', '53 tcp', '445 tcp'])))->toBe($more);
    expect(array_unique($ports))->toBe($ports);
})->with([
    'nothing was tried' => [[], [], []],
    'all as it must' => [['51944 udp answers answered', '22 tcp shut silent', '445 tcp shut silent'], [], []],
    'a port for strangers answers' => [['22 tcp shut answered'], ['reach.answers_outside'], []],
    'the tunnel does not' => [['51944 udp answers silent'], ['reach.shut_outside'], []],
    'it was to be shut when it was tried, and is an opening now' => [['51944 udp shut silent'], [], []],
    'it led in before and was not tried since' => [['8445 tcp answers answered'], [], ['8445 tcp']],
    'it led in before and still does' => [
        ['8445 tcp shut answered'],
        ['reach.answers_outside'],
        ['8445 tcp'],
    ],
    'it led in before and was seen shut' => [['8445 tcp shut silent'], [], []],
    'another protocol is another port' => [['22 udp shut answered'], ['reach.answers_outside'], ['22 udp']],
]);

test('a key that nobody used for long is told', function (int $days, bool $told): void {
    $way = new WayIn(
        1,
        'the fair tablet',
        'kiosk',
        'tunnel',
        KEY_ONE,
        '10.73.12.4',
        new DateTimeImmutable('2026-01-01'),
        (new DateTimeImmutable(THREE_O_CLOCK))->modify("-{$days} days"),
    );
    $found = (new TravellersAway())->findings(household([dweller('culvert')], waysIn: [$way]));
    expect($found->codes())->toBe($told ? ['reach.away'] : []);
})->with(['29 days' => [29, false], '30 days' => [30, true]]);

test('an opening that is typed is held against the house', function (array $typed, array $expected): void {
    $house = household(
        [dweller('culvert', id: 7)],
        [
            'culvert' => [
                new Service('culvert', Port::of(51944), Protocol::Udp, 'tunnel', access: Access::KeysOnly),
                new Service('culvert', Port::of(8081), Protocol::Tcp, 'its page', access: Access::Unclaimed),
            ],
        ],
    );
    $found = [];
    foreach (
        TypedOpening::check($house, [
            'box' => '7',
            'outside_port' => '41000',
            'inside_port' => '51944',
            'protocol' => 'udp',
            'purpose' => 'tunnel',
            'reason' => 'to look at the vents',
            'review_on' => '2027-03-26',
            ...$typed,
        ]) as $one
    ) {
        $found[(string) $one->place?->field] = $one->code;
    }
    expect($found)->toBe($expected);
})->with([
    'all right' => [[], []],
    'both protocols' => [
        ['protocol' => 'both'],
        ['protocol' => 'reach.one_protocol', 'inside_port' => 'reach.nothing_there'],
    ],
    'no reason' => [['reason' => ''], ['reason' => 'reach.wants_words']],
    'no such day' => [['review_on' => '2027-02-30'], ['review_on' => 'reach.not_a_day']],
    'six digits' => [['outside_port' => '519444'], ['outside_port' => 'reach.not_a_port']],
    'the other protocol' => [['protocol' => 'tcp'], ['inside_port' => 'reach.nothing_there']],
    'an unclaimed page' => [
        ['protocol' => 'tcp', 'inside_port' => '8081'],
        ['inside_port' => 'reach.opens_to_all'],
    ],
    'no box' => [['box' => '8'], ['box' => 'reach.no_such_box']],
    'a source by name' => [['sources' => '198.51.100.0/24, office'], ['sources' => 'reach.not_a_source']],
]);

/** A house with random ways in, the same for a seed. */
function randomReach(int $seed): Household
{
    mt_srand($seed);
    $boxes = $ports = $openings = $ways = [];
    for ($i = mt_rand(1, 20); $i > 0; $i--) {
        $name = substr('a-long-name-for-a-box-of-this-house', 0, mt_rand(3, 34)).$i;
        $boxes[] = dweller(
            $name,
            job: ['dns-filter', 'tunnel-endpoint', 'file-store'][mt_rand(0, 2)],
            id: $i,
        );
        $ports[$name] = [
            new Service(
                $name,
                Port::of(80),
                Protocol::Tcp,
                'page',
                reach: WhoReaches::cases()[mt_rand(0, 3)],
            ),
        ];
        for ($n = max(0, mt_rand(-3, 4)); $n > 0; $n--) {
            $openings[$name][] = new Opening(
                $name,
                mt_rand(1, 65535),
                'tcp',
                new DateTimeImmutable('2026-11-'.mt_rand(10, 30)),
                80,
                'page',
                substr('the warden of the house', 0, mt_rand(0, 23)),
                'because of many things',
                $n,
            );
        }
    }
    for ($i = mt_rand(0, 7); $i > 0; $i--) {
        $ways[] = new WayIn(
            $i,
            substr('the telephone of somebody who travels', 0, mt_rand(4, 37)),
            '',
            'tunnel',
            null,
            null,
            new DateTimeImmutable('2026-06-01'),
        );
    }

    return household($boxes, $ports, $openings, waysIn: $ways);
}

test('chambers, shafts and tags keep apart', function (int $seed): void {
    $house = randomReach($seed);
    $picture = ReachPicture::of($house);
    $chambers = array_merge(...array_map(fn ($stratum): array => $stratum->chambers, $picture->strata));
    expect(count($chambers))->toBe(count($house->boxes()));
    foreach ($picture->strata as $stratum) {
        foreach ($stratum->chambers as $i => $one) {
            expect($one->y)
                ->toBeGreaterThan($stratum->y)
                ->and($one->y + ReachPicture::TALL)
                ->toBeLessThan($stratum->y + $stratum->height)
                ->and($one->x + ReachPicture::CHAMBER)
                ->toBeLessThan(ReachPicture::WIDTH)
                ->and(mb_strlen($one->name) * 7.1)
                ->toBeLessThanOrEqual(ReachPicture::CHAMBER - 50);
            foreach (array_slice($stratum->chambers, $i + 1) as $other) {
                expect(
                    abs($one->y - $other->y) >= ReachPicture::TALL ||
                        abs($one->x - $other->x) >= ReachPicture::CHAMBER,
                )->toBeTrue();
            }
        }
    }
    foreach ($picture->shafts as $i => $one) {
        foreach (array_slice($picture->shafts, $i + 1) as $other) {
            // The tag of the one ends before the shaft of the next.
            expect($one->x + 20 + $one->tag)->toBeLessThanOrEqual($other->x - 8);
        }
        expect($one->x + 20 + $one->tag)->toBeLessThanOrEqual(ReachPicture::WIDTH);
    }
})->with(range(1, 60));
