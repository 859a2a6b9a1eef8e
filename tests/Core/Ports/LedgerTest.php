<?php

declare(strict_types=1);

use Burrow\Household\Access;
use Burrow\Household\DoorState;
use Burrow\Household\Heard;
use Burrow\Household\Household;
use Burrow\Household\Listing;
use Burrow\Household\Opening;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;
use Burrow\Ports\Comparison;
use Burrow\Ports\Draw\PortsPicture;
use Burrow\Ports\Draw\StripPicture;
use Burrow\Ports\Ledger;
use Burrow\Ports\LedgerRow;
use Burrow\Ports\Pair;
use Burrow\Ports\PlainPages;
use Burrow\Ports\PortScheme;
use Burrow\Ports\PortTable;
use Burrow\Ports\TypedPort;

function port(string $box, int $number, string $purpose = 'a page', mixed ...$with): Service
{
    $protocol = $with['protocol'] ?? Protocol::Tcp;
    unset($with['protocol']);

    return new Service($box, Port::of($number), $protocol, $purpose, ...$with);
}

/** @param  list<string>  $lines  "tcp 0.0.0.0 22 sshd" */
function listing(string $box, array $lines): Listing
{
    return new Listing(
        $box,
        new DateTimeImmutable(THREE_O_CLOCK),
        array_map(function (string $line): Heard {
            [$protocol, $address, $port, $process] = [...explode(' ', $line), null];

            return new Heard(Protocol::from($protocol), $address, Port::of((int) $port), $process);
        }, $lines),
    );
}

/** @return array<string, string> place => how it goes together */
function met(array $services, array $lines): array
{
    $met = [];
    foreach (Comparison::between($services, listing('sieve', $lines))->pairs as $pair) {
        $met[$pair->place()] = $pair->met->value;
    }

    return $met;
}

test('what listens is held against the record', function (): void {
    expect(
        met(
            [
                port('sieve', 22, 'remote login'),
                port('sieve', 53, 'names', protocol: Protocol::Udp),
                port('sieve', 80, 'its page'),
                port('sieve', 8091, 'counters', bound: '127.0.0.1'),
                port('sieve', 8092, 'readings', reach: WhoReaches::Box),
            ],
            [
                'tcp :: 22 sshd',
                'udp 127.0.0.53 53 systemd-resolve',
                'udp 0.0.0.0 68 dhclient',
                'tcp 127.0.0.1 8091 counters',
                'tcp 0.0.0.0 8092 readings',
                'tcp 127.0.0.1 8099 cache',
                'tcp 172.22.8.10 8099 cache',
            ],
        ),
    )->toBe([
        '22/tcp' => 'as planned',
        '53/udp' => 'listens for itself only',
        '68/udp' => 'part of the system',
        '80/tcp' => 'planned, does not listen',
        '8091/tcp' => 'as planned',
        '8092/tcp' => 'listens further than planned',
        '8099/tcp' => 'listens, in no plan',
    ]);
});

test('without a list nothing is said of listening', function (): void {
    $pairs = Comparison::between([port('sieve', 22)], null)->pairs;
    expect(array_map(fn (Pair $pair): string => $pair->met->value, $pairs))->toBe(['not listed yet']);
});

test('two services want one place where their addresses meet', function (
    ?string $one,
    ?string $other,
    bool $clash,
): void {
    $services = [port('larder', 8081, 'pictures', bound: $one), port('larder', 8081, 'music', bound: $other)];
    expect(count(PortTable::clashes($services)))->toBe($clash ? 1 : 0);
})->with([
    'any and any' => [null, null, true],
    'any and one' => [null, '172.22.8.11', true],
    'any of IPv6 and one of IPv4' => ['::', '127.0.0.1', true],
    'one and the same' => ['127.0.0.1', '127.0.0.1', true],
    'one and another' => ['127.0.0.1', '172.22.8.11', false],
]);

test('the same number is held once a protocol and a box', function (): void {
    $services = [port('larder', 53), port('larder', 53, protocol: Protocol::Udp), port('sieve', 53)];
    expect(PortTable::clashes($services))->toBe([]);
});

test('a service for all stands in the way of each for one', function (): void {
    $found = PortTable::clashes([
        port('larder', 80, 'first', bound: '127.0.0.1'),
        port('larder', 80, 'second', bound: '172.22.8.11'),
        port('larder', 80, 'all'),
    ]);
    expect($found)->toHaveCount(1)->and($found[0]->found)->toContain('first and second and all');
});

test('an opening carries a port to the world, and nothing else does', function (): void {
    $house = household(
        [dweller('culvert'), dweller('larder')],
        [
            'culvert' => [port('culvert', 51944, protocol: Protocol::Udp)],
            'larder' => [
                port('larder', 8081, reach: WhoReaches::World),
                port('larder', 8082, reach: WhoReaches::Tunnel),
                port('larder', 8083, reach: WhoReaches::Tunnel, bound: '::1'),
            ],
        ],
        ['culvert' => [new Opening('culvert', 41000, 'udp', inside: 51944)]],
    );
    $reach = [];
    foreach ($house->services() as $service) {
        $reach[$service->port->number] = $house->reaches($service)->value;
    }
    expect($reach)->toBe([51944 => 'world', 8081 => 'house', 8082 => 'tunnel', 8083 => 'box']);
});

test('an unclaimed page is a warning, and reached from outside it stops', function (
    Access $access,
    array $openings,
    ?string $severity,
): void {
    $house = household(
        [dweller('lantern')],
        ['lantern' => [port('lantern', 8081, access: $access)]],
        ['lantern' => $openings],
    );
    $found = array_values(
        array_filter(
            (new PortTable())->findings($house)->list,
            fn ($one): bool => $one->code === 'ports.anybody_is_in',
        ),
    );
    expect($found === [] ? null : $found[0]->severity->value)->toBe($severity);
})->with([
    'unclaimed at home' => [Access::Unclaimed, [], 'warn'],
    'default login at home' => [Access::DefaultLogin, [], 'warn'],
    'unclaimed in the world' => [Access::Unclaimed, ['8081 tcp'], 'stop'],
    'changed in the world' => [Access::Changed, ['8081 tcp'], null],
]);

test('the resolver of the system is told where it holds 53', function (): void {
    $ask = function (array $lines): array {
        $house = household(
            [dweller('sieve')],
            ['sieve' => [port('sieve', 53, 'names', protocol: Protocol::Udp)]],
            listings: [listing('sieve', $lines)],
        );

        return (new PortTable())->findings($house)->codes();
    };
    expect($ask(['udp 127.0.0.53 53 systemd-resolve']))
        ->toBe(['ports.stub_in_the_way'])
        ->and($ask(['udp 127.0.0.53 53 systemd-resolve', 'udp 172.22.8.10 53 dnsmasq']))
        ->toBe([]);
});

test('what is planned nowhere is told with its program, unless only the box reaches it', function (): void {
    $house = household(
        [dweller('lantern')],
        ['lantern' => []],
        listings: [listing('lantern', ['tcp 0.0.0.0 8086 python3', 'tcp 127.0.0.1 8087 python3'])],
    );
    $found = (new PortTable())->findings($house)->list;
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->found)
        ->toBe('Lantern listens at 8086/tcp (python3), which is in no plan.');
});

test('plain HTTP beside HTTPS for one purpose is told', function (): void {
    $pages = fn (string $other): Household => household(
        [dweller('dewpoint')],
        [
            'dewpoint' => [
                port('dewpoint', 80, 'vents', scheme: 'http'),
                port('dewpoint', 443, $other, scheme: 'https'),
            ],
        ],
    );
    expect((new PortTable())->findings($pages('vents'))->codes())
        ->toBe(['ports.plain_beside_safe'])
        ->and((new PortTable())->findings($pages('files'))->codes())
        ->toBe([]);
});

test('the ledger has the worst first', function (): void {
    $house = household(
        [dweller('larder'), dweller('lantern')],
        [
            'larder' => [
                port('larder', 22, 'remote login', DoorState::Open),
                port('larder', 8081, 'pictures'),
                port('larder', 8081, 'music'),
            ],
            'lantern' => [
                port('lantern', 80, 'its page', access: Access::Unclaimed),
                port('lantern', 445, 'files'),
            ],
        ],
        listings: [listing('lantern', ['tcp 0.0.0.0 80 media', 'tcp 0.0.0.0 8086 python3'])],
    );
    expect(
        array_map(fn (LedgerRow $row): string => $row->number().' '.$row->trouble(), Ledger::of($house)),
    )->toBe([
        '8081 two want it',
        '8081 two want it',
        '80 unclaimed',
        '8086 in no plan',
        '445 does not listen',
        '22 ',
    ]);
});

test('a port that is typed with six digits is answered with what was meant', function (): void {
    $scheme = new PortScheme([51944 => 'culvert, tunnel']);
    $typed = TypedPort::of('culvert', ['port' => '519444', 'purpose' => 'tunnel'], [], $scheme);
    expect($typed->service)
        ->toBeNull()
        ->and($typed->findings->codes())
        ->toBe(['ports.six_digits'])
        ->and($typed->findings->list[0]->do)
        ->toBe('Was it 51944 or 19444 or 59444?');
});

test('what is typed is said to be wrong at its field', function (array $typed, array $expected): void {
    $fields = ['port' => '8081', 'protocol' => 'tcp', 'purpose' => 'its page', ...$typed];
    $found = [];
    foreach (
        TypedPort::of('larder', $fields, [port('larder', 445, 'files')], new PortScheme([]))->findings as $one
    ) {
        $found["{$one->place?->field}"] = $one->code;
    }
    expect($found)->toBe($expected);
})->with([
    'all right' => [[], []],
    'no port' => [['port' => ''], ['port' => 'ports.not_a_port']],
    'zero' => [['port' => '0'], ['port' => 'ports.not_a_port']],
    'beyond the last' => [['port' => '65536'], ['port' => 'ports.not_a_port']],
    'taken on this box' => [['port' => '445'], ['port' => 'ports.clash']],
    'taken, but for the other protocol' => [['port' => '445', 'protocol' => 'udp'], []],
    'for outgoing connections' => [['port' => '41200'], ['port' => 'ports.ephemeral']],
    'for outgoing connections, UDP' => [['port' => '41200', 'protocol' => 'udp'], []],
    'a page at a port of another kind' => [
        ['port' => '631', 'scheme' => 'http'],
        ['port' => 'ports.registered_otherwise'],
    ],
    'no page at that port' => [['port' => '631'], []],
    'no purpose' => [['purpose' => ' '], ['purpose' => 'ports.purpose']],
    'not an address' => [['bound' => '172.22.8'], ['bound' => 'ports.not_an_address']],
    'a path with blanks' => [['path' => '/a b'], ['path' => 'ports.not_a_path']],
    'a path without its slash' => [['path' => 'admin'], ['path' => 'ports.not_a_path']],
    'inside port' => [['inner_port' => '70000'], ['inner_port' => 'ports.not_a_port']],
    'too many clients' => [
        ['clients' => str_repeat("one: its name\n", 41)],
        ['clients' => 'ports.too_many_clients'],
    ],
]);

test('clients are read line by line', function (): void {
    $typed = TypedPort::of(
        'larder',
        [
            'port' => '445',
            'purpose' => 'files',
            'clients' => "reading-desk: a drive letter\n\n kiosk ",
            'bound' => '0.0.0.0',
        ],
        [],
        new PortScheme([]),
    );
    expect($typed->clients)
        ->toBe([
            ['client' => 'reading-desk', 'holds' => 'a drive letter'],
            ['client' => 'kiosk', 'holds' => 'its address'],
        ])
        ->and($typed->service?->bound)
        ->toBeNull();
});

test('the next free port says why', function (): void {
    $scheme = new PortScheme([8081 => 'larder, pictures', 8082 => 'dewpoint, its page']);
    expect($scheme->propose()->number)
        ->toBe(8083)
        ->and($scheme->because($scheme->propose()))
        ->toContain('the next after 8082 (dewpoint, its page)');
});

test('names that tools print in place of numbers', function (): void {
    expect(RegisteredNames::port(Protocol::Tcp, 'ssh')?->number)
        ->toBe(22)
        ->and(RegisteredNames::port(Protocol::Udp, 'ntp')?->number)
        ->toBe(123)
        ->and(RegisteredNames::port(Protocol::Tcp, '65536'))
        ->toBeNull()
        ->and(RegisteredNames::port(Protocol::Tcp, 'no-such-service'))
        ->toBeNull()
        ->and(RegisteredNames::of(Protocol::Udp, 53))
        ->toBe('domain');
});

// Pictures, by geometry.

/** A house of random ports, the same for a seed. */
function randomPorts(int $seed, int $boxes): Household
{
    mt_srand($seed);
    $all = [];
    $ports = [];
    $listings = [];
    for ($i = 0; $i < $boxes; $i++) {
        $name = substr(str_repeat('a-rather-long-name', 2), 0, mt_rand(2, 30)).$i;
        $all[] = dweller($name);
        $lines = [];
        for ($n = mt_rand(0, 9); $n > 0; $n--) {
            $number = mt_rand(0, 1) === 0 ? [22, 80, 443, 445, 8081, 8082][mt_rand(0, 5)] : mt_rand(1, 65535);
            $ports[$name][] = port(
                $name,
                $number,
                substr('what it is for, said at length', 0, mt_rand(1, 30)),
                reach: WhoReaches::cases()[mt_rand(0, 4)],
                access: [null, ...Access::cases()][mt_rand(0, 6)],
            );
            mt_rand(0, 2) > 0 &&
                ($lines[] = 'tcp '.['127.0.0.1', '0.0.0.0', '::'][mt_rand(0, 2)].' '.mt_rand(1, 65535));
        }
        mt_rand(0, 1) === 0 && ($listings[] = listing($name, $lines));
    }

    return household($all, $ports, listings: $listings);
}

test('no two chips touch, none lies outside of its stratum, and words stay inside', function (
    int $seed,
): void {
    $picture = PortsPicture::of(Ledger::of(randomPorts($seed, 1 + ($seed % 40))));
    $bottom = PortsPicture::SKY;
    foreach ($picture->strata as $stratum) {
        expect($stratum->y)->toBe($bottom);
        $bottom += $stratum->height;
        $met = [];
        foreach ($stratum->chips as $chip) {
            $place = "{$chip->x} {$chip->y}";
            expect($met)
                ->not->toHaveKey($place)
                ->and($chip->y)
                ->toBeGreaterThan($stratum->y)
                ->and($chip->y + PortsPicture::TALL)
                ->toBeLessThan($bottom)
                ->and($chip->x + PortsPicture::CHIP)
                ->toBeLessThanOrEqual(PortsPicture::WIDTH - 6)
                ->and(mb_strlen($chip->under) * 6.3)
                ->toBeLessThanOrEqual(PortsPicture::CHIP - 42 + 0.1)
                ->and(strlen($chip->number) * 8 + 6 + mb_strlen($chip->name) * 7.6)
                ->toBeLessThanOrEqual(PortsPicture::CHIP - 42 + 7.7);
            $met[$place] = true;
        }
        $drawn = array_sum(array_map(fn ($chip): int => $chip->boxes, $stratum->chips));
        expect($stratum->more > 0 || $drawn <= $stratum->count)->toBeTrue();
    }
    expect($picture->height)->toBe($bottom);
})->with(range(1, 40));

test('labels of a strip do not meet, and no elbow goes through one', function (int $seed): void {
    $house = randomPorts($seed, 1);
    $strip = StripPicture::of(Comparison::of($house, $house->boxes()[0]));
    $labels = array_values(array_filter($strip->labels, fn ($one): bool => $one->number !== ''));
    expect($strip->more + count($labels))->toBeLessThanOrEqual(count($strip->labels));
    foreach ($labels as $i => $one) {
        expect($one->x)
            ->toBeGreaterThanOrEqual(0.0)
            ->and($one->x + $one->width)
            ->toBeLessThanOrEqual(StripPicture::WIDTH)
            ->and($one->elbow)
            ->toBeGreaterThanOrEqual($one->x)
            ->and($one->elbow)
            ->toBeLessThanOrEqual($one->x + $one->width);
        foreach ($labels as $j => $other) {
            if ($j > $i && $one->y === $other->y) {
                expect(
                    $one->x + $one->width <= $other->x || $other->x + $other->width <= $one->x,
                )->toBeTrue();
            }
            if ($one->y < $other->y) {
                expect($one->elbow < $other->x || $one->elbow > $other->x + $other->width)->toBeTrue();
            }
        }
    }
})->with(range(1, 60));

test('a box with the usual ports has a label for each', function (): void {
    $numbers = [22, 53, 80, 443, 445, 8081, 8086, 51944];
    $services = array_map(fn (int $number): Service => port('sieve', $number, 'its own page'), $numbers);
    $strip = StripPicture::of(Comparison::between($services, null));
    expect(array_column($strip->labels, 'number'))
        ->toBe(array_map(strval(...), $numbers))
        ->and($strip->more)
        ->toBe(0);
});

test('a port lies on the strip where its logarithm puts it', function (): void {
    $tenth = StripPicture::x(10) - StripPicture::x(1);
    expect(StripPicture::x(100) - StripPicture::x(10))
        ->toEqualWithDelta($tenth, 0.001)
        ->and(StripPicture::x(65535))
        ->toBe(1054.0);
});

test('ten thousand ports cost their number, and a crowd on one port is told once', function (): void {
    $services = [];
    for ($i = 0; $i < 10_000; $i++) {
        $services[] = port('box-'.intdiv($i, 20), 1000 + ($i % 19), "service {$i}");
    }
    $count = fn (int $many): float => array_sum(
        array_map(function () use ($services, $many): float {
            $began = hrtime(true);
            PortTable::clashes(array_slice($services, 0, $many));

            return hrtime(true) - $began;
        }, range(1, 3)),
    );
    expect(PortTable::clashes($services))
        ->toHaveCount(500)
        ->and($count(10_000) / $count(1_000))
        ->toBeLessThan(30);
});

/** @return array<string, int> name of the site => port of its page */
function sites(array $services): array
{
    $boxes = [dweller('larder'), dweller('sieve')];
    $house = household($boxes, ['larder' => $services]);

    return array_map(
        fn (Service $page): int => $page->port->number,
        PlainPages::of($house, $house->boxes()[0]),
    );
}

test('a plain page can have TLS before it under the name of its box', function (): void {
    expect(sites([port('larder', 8081, 'library', scheme: 'http'), port('larder', 22, 'login')]))->toBe([
        'larder' => 8081,
    ]);
});

test('several pages of a box have a name each, and none that a box has', function (): void {
    expect(
        sites([
            port('larder', 8081, 'Library & pictures', scheme: 'http'),
            port('larder', 8082, 'library, pictures', scheme: 'http', bound: '127.0.0.1'),
            port('larder', 8083, 'sieve', scheme: 'http'),
            port('larder', 8084, '42', scheme: 'http'),
            port('larder', 8085, '…', scheme: 'http'),
            port('larder', 8086, str_repeat('long ', 20), scheme: 'http'),
        ]),
    )->toBe([
        'library-pictures' => 8081,
        'library-pictures-8082' => 8082,
        'sieve-8083' => 8083,
        'page-42' => 8084,
        'page' => 8085,
        'long-long-long-long-long-long-long-long' => 8086,
    ]);
});

test('a name that a purpose happens to have is not given twice', function (): void {
    expect(
        sites([
            port('larder', 8081, 'library', scheme: 'http'),
            port('larder', 8083, 'library 8082', scheme: 'http'),
            port('larder', 8082, 'library', scheme: 'http'),
        ]),
    )->toBe(['library' => 8081, 'library-8082' => 8083, 'library-8082-8082' => 8082]);
});

test('no site stands where TLS is spoken already or the page is elsewhere', function (array $services): void {
    expect(sites($services))->toBe([]);
})->with([
    '443 is taken' => fn (): array => [
        port('larder', 8081, scheme: 'http'),
        port('larder', 443, scheme: 'https'),
    ],
    'bound to one address' => fn (): array => [port('larder', 8081, scheme: 'http', bound: '172.22.8.14')],
    'no page' => fn (): array => [port('larder', 445, 'file share')],
    'by UDP' => fn (): array => [port('larder', 8081, scheme: 'http', protocol: Protocol::Udp)],
]);

test('what a client holds may have colons in it', function (): void {
    $typed = ['port' => '445', 'purpose' => 'files', 'clients' => 'reading-desk: http://larder:8081'];
    expect(TypedPort::of('larder', $typed, [], new PortScheme([]))->clients)->toBe([
        ['client' => 'reading-desk', 'holds' => 'http://larder:8081'],
    ]);
});
