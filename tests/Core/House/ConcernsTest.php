<?php

declare(strict_types=1);

use App\Household\Concerns;
use Burrow\Household\BoxReport;
use Burrow\Household\Care;
use Burrow\Household\Certificate;
use Burrow\Household\Copying;
use Burrow\Household\FolderPair;
use Burrow\Household\Household;
use Burrow\Household\HouseNetwork;
use Burrow\Household\Listing;
use Burrow\Household\Opening;
use Burrow\Household\OutsideName;
use Burrow\Household\Reported;
use Burrow\Household\Service;
use Burrow\Household\Stage;
use Burrow\Household\Trial;
use Burrow\Household\WayIn;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;

// Small houses in which one thing is so: concerns.txt has all that every concern says of each, and by its silence what
// none of them says.

/** @return array<string, callable(): Household> */
function smallHouses(): array
{
    $day = fn (string $when): DateTimeImmutable => (new DateTimeImmutable(THREE_O_CLOCK))->modify($when);
    $box = fn (string $name, mixed ...$with): Burrow\Household\Box => dweller(
        $name,
        ...[
            'address' => Ipv4::parse('172.22.8.11'),
            'updated' => $day('-1 day'),
            'job' => 'file-store',
            ...$with,
        ],
    );
    $larder = fn (mixed ...$with): array => [$box('larder', ...$with)];
    $copied = fn (mixed ...$with): array => [
        'copyings' => [
            new Copying(
                ...[
                    'id' => 1,
                    'box' => 'larder',
                    'name' => 'larder',
                    'to' => 'copies.example.net',
                    'elsewhere' => true,
                    'encrypted' => true,
                    'keyKept' => true,
                    'ran' => $day('-1 day'),
                    'tried' => $day('-10 days'),
                    'worked' => true,
                    ...$with,
                ],
            ),
        ],
    ];
    $reported = fn (BoxReport $report, mixed ...$with): array => [
        'reports' => [new Reported('larder', $day('-1 hour'), $report, ...$with)],
    ];
    $way = fn (string $last, ?string $ends = null): WayIn => new WayIn(
        1,
        'phone',
        'visitor',
        'tunnel',
        'AbBw5WxYE1bRGMqLqzNVjcdYGgCbDWDGLDmYx4iK6RY=',
        '10.73.12.2',
        $day('-200 days'),
        $day($last),
        $ends === null ? null : $day($ends),
    );

    $certified = fn (string $ends, mixed ...$with): array => [
        'certificates' => [
            new Certificate(
                ...[
                    'page' => new Service('larder', Port::of(443), Protocol::Tcp, 'page', scheme: 'https'),
                    'sha256' => str_repeat('ab', 32),
                    'holder' => 'larder',
                    'issuer' => 'larder',
                    'names' => ['larder'],
                    'starts' => $day('-30 days'),
                    'ends' => $day($ends),
                    'seen' => $day('-1 hour'),
                    ...$with,
                ],
            ),
        ],
    ];
    $network = new HouseNetwork(
        1,
        'home',
        new LocalNetwork(
            Prefix::parse('172.22.8.0/24'),
            Ipv4::parse('172.22.8.1'),
            AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199')),
            'thistledown.home.arpa',
        ),
    );

    return [
        'nothing' => fn () => household([]),
        'one box, and all is well' => fn () => household($larder()),
        'it is only being planned' => fn () => household($larder(stage: Stage::Planned, updated: null)),
        'it does not answer' => fn () => household($larder(hearing: heard('2026-11-25 13:00'))),
        'nobody asked it lately' => fn () => household($larder(hearing: heard(asked: '2026-11-20 10:00'))),
        'two do not answer' => fn () => household([
            $box('larder', hearing: heard('2026-11-25 13:00')),
            $box('press', address: Ipv4::parse('172.22.8.14'), hearing: heard('2026-11-20 13:00')),
        ]),
        'two have one address' => fn () => household([$box('larder'), $box('press')]),
        'it lies outside' => fn () => household($larder(covered: false)),
        'it does not keep its address' => fn () => household($larder(keepsAddress: false)),
        'one thing is open' => fn () => household($larder(passedOver: 1)),
        'a filter for all, alone' => fn () => household([
            $box('sieve', job: 'dns-filter'),
            $box('larder', address: Ipv4::parse('172.22.8.12')),
        ]),
        'two filters' => fn () => household([
            $box('sieve', job: 'dns-filter'),
            $box('riddle', job: 'dns-filter', address: Ipv4::parse('172.22.8.12')),
        ]),
        'a filter alone in the house' => fn () => household([$box('sieve', job: 'dns-filter')]),
        'updated long ago' => fn () => household($larder(updated: $day('-60 days'))),
        'never updated' => fn () => household($larder(updated: null)),
        'open to the world, and meant to be' => fn () => household(
            [$box('culvert', job: 'tunnel-endpoint')],
            openings: ['culvert' => ['51944 udp 2027-03-01']],
        ),
        'open to the world, and not meant to be' => fn () => household(
            $larder(),
            openings: ['larder' => ['443 tcp 2027-03-01']],
        ),
        'to be looked at again yesterday' => fn () => household(
            [$box('culvert', job: 'tunnel-endpoint')],
            openings: ['culvert' => ['51944 udp 2026-11-24']],
        ),
        'to be looked at again today' => fn () => household(
            [$box('culvert', job: 'tunnel-endpoint')],
            openings: ['culvert' => [new Opening('culvert', 51944, 'udp', $day('today'))]],
        ),
        'a port without anything behind it' => fn () => household(
            $larder(),
            ['larder' => ['445 tcp files silent', '22 tcp login open']],
            listings: [new Listing('larder', $day('-1 hour'), [])],
        ),
        'two services at one port' => fn () => household($larder(), [
            'larder' => ['8080 tcp page open', '8080 tcp hub open'],
        ]),
        'ports that the system lends out' => fn () => household($larder(), [
            'larder' => array_map(fn (string $place): string => "{$place} hub open", [
                '32767 tcp',
                '32768 tcp',
                '60999 tcp',
                '61000 tcp',
                '40000 udp',
            ]),
        ]),
        'a certificate that ends' => fn () => household($larder(), told: $certified('+20 days 23 hours')),
        'a certificate that ends later' => fn () => household($larder(), told: $certified('+21 days')),
        'a certificate that begins later' => fn () => household(
            $larder(),
            told: $certified('+90 days', starts: $day('+1 minute')),
        ),
        'a certificate that is another one' => fn () => household(
            $larder(),
            told: $certified('+90 days', changed: $day('-29 days'), beforeEnded: $day('+62 days')),
        ),
        'a certificate that was another one a month ago' => fn () => household(
            $larder(),
            told: $certified('+90 days', changed: $day('-30 days'), beforeEnded: $day('+99 days')),
        ),
        'a certificate that was renewed in its time' => fn () => household(
            $larder(),
            told: $certified('+90 days', changed: $day('-29 days'), beforeEnded: $day('+61 days')),
        ),
        'a way in long unused' => fn () => household($larder(), waysIn: [$way('-120 days')]),
        'a way in of today' => fn () => household($larder(), waysIn: [$way('-1 hour')]),
        'a key that ends' => fn () => household($larder(), waysIn: [$way('-1 hour', '+3 days')]),
        'it answers from outside' => fn () => household(
            $larder(),
            trials: [new Trial(445, 'tcp', false, true, $day('-2 days'))],
        ),
        'it does not answer from outside, and should' => fn () => household(
            [$box('culvert', job: 'tunnel-endpoint')],
            openings: ['culvert' => ['51944 udp 2027-03-01']],
            trials: [new Trial(51944, 'udp', true, false, $day('-2 days'))],
        ),
        'it is as it should be from outside' => fn () => household(
            $larder(),
            trials: [new Trial(445, 'tcp', false, false, $day('-2 days'))],
        ),
        'the name leads elsewhere' => fn () => household(
            $larder(),
            told: [
                'name' => new OutsideName(
                    'thistledown.example.net',
                    '203.0.113.7',
                    '203.0.113.9',
                    $day('-1 hour'),
                    $day('-3 hours'),
                ),
            ],
        ),
        'the name leads here' => fn () => household(
            $larder(),
            told: [
                'name' => new OutsideName(
                    'thistledown.example.net',
                    '203.0.113.7',
                    '203.0.113.7',
                    $day('-1 hour'),
                    null,
                ),
            ],
        ),
        'nothing is copied' => fn () => household($larder(), told: ['copyings' => []]),
        'copied in the house alone' => fn () => household($larder(), told: $copied(elsewhere: false)),
        'copied without a key kept' => fn () => household($larder(), told: $copied(keyKept: false)),
        'copied in the clear' => fn () => household(
            $larder(),
            told: $copied(encrypted: false, keyKept: false),
        ),
        'copied long ago' => fn () => household($larder(), told: $copied(ran: $day('-9 days'))),
        'copied never' => fn () => household($larder(), told: $copied(ran: null, tried: null, worked: false)),
        'the copy failed' => fn () => household(
            $larder(),
            told: $copied(failed: $day('-1 hour'), because: 'the disk is full'),
        ),
        'the copy failed, and ran since' => fn () => household(
            $larder(),
            told: $copied(failed: $day('-2 days'), because: 'the disk is full'),
        ),
        'never brought back' => fn () => household($larder(), told: $copied(tried: null, worked: false)),
        'brought back long ago' => fn () => household($larder(), told: $copied(tried: $day('-400 days'))),
        'bringing back did not work' => fn () => household($larder(), told: $copied(worked: false)),
        'folders in step' => fn () => household(
            $larder(),
            told: [
                'pairs' => [
                    new FolderPair(1, 'larder', '/srv/store', 'notebook', 30, $day('-1 hour'), conflicts: 0),
                ],
            ],
        ),
        'folders out of step' => fn () => household(
            $larder(),
            told: [
                'pairs' => [
                    new FolderPair(
                        1,
                        'larder',
                        '/srv/store',
                        'notebook',
                        30,
                        $day('-9 days'),
                        $day('-8 days'),
                        2,
                    ),
                ],
            ],
        ),
        'a care that is due' => fn () => household(
            $larder(),
            told: ['cares' => [new Care(1, 'larder', 'the filter of its fan', 90, $day('-100 days'))]],
        ),
        'a care of tomorrow' => fn () => household(
            $larder(),
            told: ['cares' => [new Care(1, 'larder', 'the filter of its fan', 90, $day('-89 days'))]],
        ),
        'a care that is due today' => fn () => household(
            $larder(),
            told: ['cares' => [new Care(1, 'larder', 'the filter of its fan', 90, $day('-90 days'))]],
        ),
        'a release that ends in four months' => fn () => household(
            $larder(),
            told: [
                ...$reported(new BoxReport(codename: 'bookworm')),
                'releases' => ['bookworm' => $day('today +119 days')],
            ],
        ),
        'a release that ends later' => fn () => household(
            $larder(),
            told: [
                ...$reported(new BoxReport(codename: 'bookworm')),
                'releases' => ['bookworm' => $day('today +120 days')],
            ],
        ),
        'a report in which all is well' => fn () => household(
            $larder(),
            told: $reported(
                new BoxReport(
                    host: 'larder',
                    synchronised: true,
                    restart: false,
                    pending: [],
                    security: [],
                    failed: [],
                    undervoltage: false,
                    throttled: false,
                    celsius: 48.0,
                ),
            ),
        ),
        'a report of trouble' => fn () => household(
            $larder(),
            told: $reported(
                new BoxReport(
                    host: 'press',
                    synchronised: false,
                    restart: true,
                    pending: ['samba'],
                    security: ['samba'],
                    failed: ['smbd.service'],
                    undervoltage: true,
                    throttled: true,
                    celsius: 84.0,
                    memoryBytes: 1_000_000_000,
                    availableBytes: 20_000_000,
                ),
            ),
        ),
        'a report that is not as the record has it' => fn () => household(
            $larder(),
            told: $reported(
                new BoxReport(
                    codename: 'trixie',
                    addresses: ['172.22.8.99'],
                    accounts: ['root', 'warden', 'kiosk'],
                ),
                accounts: ['warden'],
                release: 'bookworm',
            ),
        ),
        'a report without a disk that ought to be there' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(mounts: ['/']), mounts: ['/srv/store']),
        ),
        'a report with one account more' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(accounts: ['root', 'warden', 'kiosk']), accounts: ['warden']),
        ),
        'a report whose difference was left alone' => fn () => household(
            $larder(),
            told: $reported(
                new BoxReport(accounts: ['root', 'warden', 'kiosk']),
                accounts: ['warden'],
                answered: ['account kiosk' => $day('+1 day')->getTimestamp()],
            ),
        ),
        'a restart that waits for long' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(restart: true, uptimeSeconds: 8 * 86_400)),
        ),
        'a restart that waits for a week' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(restart: true, uptimeSeconds: 7 * 86_400)),
        ),
        'a clock that is off' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(madeAt: $day('-1 hour')->getTimestamp() - 301)),
        ),
        'a clock that is nearly right' => fn () => household(
            $larder(),
            told: $reported(new BoxReport(madeAt: $day('-1 hour')->getTimestamp() + 300)),
        ),
        'no report for three days' => fn () => household(
            $larder(),
            told: ['reports' => [new Reported('larder', $day('-3 days'), new BoxReport(), isExpected: true)]],
        ),
        'no report for two days' => fn () => household(
            $larder(),
            told: ['reports' => [new Reported('larder', $day('-2 days'), new BoxReport(), isExpected: true)]],
        ),
        'no report, and none was to come' => fn () => household(
            $larder(),
            told: ['reports' => [new Reported('larder', $day('-30 days'), new BoxReport())]],
        ),
        'two have one address in one network' => fn () => household(
            [$box('larder', networkId: 1), $box('press', networkId: 1)],
            told: ['networks' => [$network]],
        ),
        'an address that the router hands out' => fn () => household(
            $larder(networkId: 1, address: Ipv4::parse('172.22.8.150')),
            told: ['networks' => [$network]],
        ),
        'all is well in a network' => fn () => household(
            $larder(networkId: 1),
            told: ['networks' => [$network]],
        ),
        'a system that is not looked after any more' => fn () => household(
            $larder(),
            told: [
                ...$reported(new BoxReport(codename: 'bookworm')),
                'releases' => ['bookworm' => $day('-3 days')],
            ],
        ),
        'all hang on one switch' => fn () => household([
            $box('larder', fedBy: 'strip at the desk'),
            $box('sieve', job: 'dns-filter', address: Ipv4::parse('172.22.8.12'), fedBy: 'strip at the desk'),
            $box(
                'riddle',
                job: 'dns-filter',
                address: Ipv4::parse('172.22.8.13'),
                fedBy: 'strip at the desk',
            ),
        ]),
    ];
}

test('what every concern says of a small house', function (string $name): void {
    $house = smallHouses()[$name]();
    $said = '';
    foreach (Concerns::all() as $concern) {
        $of = $concern->findings($house);
        $said .=
            $of->list === []
                ? ''
                : basename(str_replace('\\', '/', $concern::class)).":\n".findingLines($of);
    }
    $all = __DIR__.'/concerns.txt';
    $held = sections('House/concerns.txt')["concerns: {$name}"][3] ?? null;
    if (getenv('KEEP_CORPUS') === '1' && $held === null) {
        file_put_contents($all, "=== {$name}\n\n---\n{$said}", FILE_APPEND);
        $held = $said;
    }
    expect($said)->toBe($held);
})->with(array_keys(smallHouses()));
