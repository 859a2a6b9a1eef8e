<?php

declare(strict_types=1);

use App\Household\Concerns;
use Burrow\Ground\Gathering;
use Burrow\Ground\Outlook;
use Burrow\Household\Box;
use Burrow\Household\BoxParts;
use Burrow\Household\Feed;
use Burrow\Household\Hearing;
use Burrow\Household\Household;
use Burrow\Household\PowerGraph;
use Burrow\Household\Stage;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Net\Port;
use Burrow\Plan\PlanOfBox;
use Burrow\Plan\Power\Heat;
use Burrow\Ports\PortScheme;
use Burrow\Ports\PortTable;
use Burrow\Quantity\Bytes;
use Burrow\Stores\DiskChoice;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use Burrow\Upkeep\Due;
use Burrow\Upkeep\SharedSwitches;

function disk(
    string $name,
    float $gigabytes,
    array $mounts = [],
    bool $readOnly = false,
    array $holds = [],
): BlockDevice {
    return new BlockDevice(
        $name,
        Bytes::giga($gigabytes),
        null,
        "S{$name}",
        'usb',
        false,
        $readOnly,
        $mounts,
        $holds,
    );
}

test('due is the last update plus the shortest cadence', function (): void {
    $due = Due::of(
        'culvert',
        new DateTimeImmutable('2026-11-20 10:00'),
        ['files' => 30, 'tunnel' => 7],
        new DateTimeImmutable('2026-11-25 10:00'),
    );
    expect($due->date->format('Y-m-d'))
        ->toBe('2026-11-27')
        ->and($due->daysLeft)
        ->toBe(2)
        ->and($due->isSoon())
        ->toBeTrue()
        ->and($due->working()->result)
        ->toBe('2026-11-27');
});

test('a due date across the end of February', function (): void {
    expect(
        Due::of(
            'larder',
            new DateTimeImmutable('2028-02-10'),
            ['files' => 30],
            new DateTimeImmutable('2028-02-10'),
        )->date->format('Y-m-d'),
    )->toBe('2028-03-11');
});

test('a box is in time, soon due or late', function (string $now, string $code, string $words): void {
    $due = Due::of(
        'larder',
        new DateTimeImmutable('2026-11-01 12:00'),
        ['files' => 30],
        new DateTimeImmutable($now),
    );
    expect($due->finding()->code)
        ->toBe($code)
        ->and($due->finding()->found)
        ->toBe($words);
})->with([
    ['2026-11-02 12:00', 'upkeep.in_time', 'Larder is in time: due in 29 days.'],
    ['2026-11-28 23:00', 'upkeep.due_soon', 'Larder is due in 3 days.'],
    ['2026-12-01 11:00', 'upkeep.due_soon', 'Larder is due today.'],
    ['2026-12-01 23:00', 'upkeep.due_soon', 'Larder is due today.'],
    ['2026-12-02 01:00', 'upkeep.overdue', 'Larder is 1 day past its update.'],
    ['2026-12-11 13:00', 'upkeep.overdue', 'Larder is 10 days past its update.'],
]);

test('a port is held once per box and protocol', function (): void {
    $findings = (new PortTable())->findings(
        household(
            [],
            [
                'sieve' => ['53 tcp names', '53 udp names', '80 tcp page', '80 tcp second'],
                'larder' => ['53 tcp other'],
                'culvert' => ['51944 udp tunnel'],
                'lantern' => ['40000 tcp page'],
            ],
        ),
    );
    expect($findings->codes())
        ->toBe(['ports.clash', 'ports.ephemeral'])
        ->and($findings->list[0]->found)
        ->toContain('page and second both want tcp 80')
        ->and($findings->list[1]->found)
        ->toContain('40000');
});

test('one disk can be the store', function (): void {
    $choice = DiskChoice::among(
        [disk('mmcblk0', 32, ['/', '/boot/firmware']), disk('sda', 500.1)],
        Bytes::giga(500),
    );
    expect($choice->disk?->name)
        ->toBe('sda')
        ->and($choice->findings->codes())
        ->toBe(['stores.disk_chosen', 'stores.disk_stays']);
});

test('in doubt no disk is named', function (array $disks, ?Bytes $planned): void {
    expect(DiskChoice::among($disks, $planned)->disk)
        ->toBeNull()
        ->and(DiskChoice::among($disks, $planned)->findings->blocks())
        ->toBeTrue();
})->with([
    'none' => [[disk('mmcblk0', 32, ['/'])], null],
    'two alike' => [[disk('sda', 500), disk('sdb', 500)], Bytes::giga(500)],
    'mounted' => [[disk('sda', 500, ['/media/desk'])], null],
    'swap' => [[disk('sda', 500, ['[SWAP]'])], null],
    'read-only' => [[disk('sda', 500, [], true)], null],
    'the 2 TB one with everything on it' => [[disk('sda', 2000)], Bytes::giga(500)],
    'empty reader' => [[disk('sda', 0)], null],
]);

test('each disk that stays has its reason', function (array $disk, string $reason): void {
    $choice = DiskChoice::among([disk('sdb', 500), disk(...$disk)], Bytes::giga(500));
    expect($choice->disk?->name)
        ->toBe('sdb')
        ->and(
            implode(' ', array_map(fn ($one): string => "{$one->found} {$one->why}", $choice->findings->list)),
        )
        ->toContain($reason);
})->with([
    'the system' => [['sda', 500, ['/']], 'The running system lives on it.'],
    'mounted' => [['sda', 500, ['/media/desk']], 'It is mounted at /media/desk.'],
    'read-only' => [['sda', 500, [], true], 'It is read-only.'],
    'an empty reader' => [['sda', 0], 'It is an empty reader.'],
    'of another size' => [['sda', 120], 'The plan says 500 GB.'],
    'eight per cent more is the same' => [['sda', 541], 'The plan says'],
]);

test('what is on the disk is said before it is wiped', function (): void {
    $choice = DiskChoice::among([disk('sda', 500, [], false, ['ntfs HOLIDAYS'])], Bytes::giga(500));
    expect($choice->findings->list[0]->code)
        ->toBe('stores.disk_not_empty')
        ->and($choice->findings->list[0]->why)
        ->toContain('ntfs HOLIDAYS');
});

test('a line of fstab', function (): void {
    $uuid = '7c9e6679-7425-40de-944b-e07fc1f90ae7';
    expect((string) new FstabLine($uuid, '/srv/store'))
        ->toBe("UUID={$uuid} /srv/store ext4 defaults,nofail,x-systemd.device-timeout=10s 0 2")
        ->and((string) new FstabLine($uuid, '/srv/seed scans'))
        ->toContain(' /srv/seed\\040scans ext4 ')
        ->and(fn () => new FstabLine('sda1', '/srv'))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => new FstabLine($uuid, "/srv\nUUID=x / ext4"))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => new FstabLine($uuid, 'srv'))
        ->toThrow(InvalidArgumentException::class);
});

test('a share is refused when it cannot be one', function (string $name, string $path, string $user): void {
    expect(fn () => new SmbShare($name, $path, $user))->toThrow(InvalidArgumentException::class);
})->with([
    ['warden', '/srv/store', 'warden'],
    ['Warden', '/srv/store', 'warden'],
    ['homes', '/srv/store', 'warden'],
    ["a]\n[b", '/srv/store', 'warden'],
    ['store', "/srv\nguest ok = yes", 'warden'],
    ['store', '/srv/%u', 'warden'],
    ['store', '/srv', 'a b'],
    ['', '/srv', 'warden'],
]);

test('what is heard of a box, and how old that is', function (
    ?string $asked,
    ?string $answered,
    ?string $silent,
    string $words,
): void {
    $at = fn (?string $time): ?DateTimeImmutable => $time === null
        ? null
        : new DateTimeImmutable("2026-11-25 {$time}");
    expect(
        Hearing::of(
            $at($asked),
            $at($answered),
            $at($silent),
            new DateTimeImmutable('2026-11-25 15:00'),
        )->words(),
    )->toBe($words);
})->with([
    'asked just now' => ['14:59', '14:59', null, 'answers'],
    'silent' => ['14:59', '12:00', '12:01', 'silent for 2 h 59 min'],
    'silent since it was first asked' => ['14:59', null, '14:59', 'silent for 60 s'],
    'nobody asks any more' => ['14:02', '14:02', null, 'not asked since Wed 14:02'],
    'nobody asks any more, and it was silent then' => [
        '14:02',
        '12:00',
        '12:01',
        'not asked since Wed 14:02',
    ],
    'exactly five minutes ago' => ['14:55', '14:55', null, 'answers'],
    'never asked' => [null, null, null, 'never asked'],
    'a record of an answer, and none of a question' => [null, '14:59', null, 'never asked'],
    'a clock that was set back' => ['15:30', '15:30', null, 'answers'],
    'a clock that was set back while it was silent' => ['15:30', null, '15:20', 'silent for 0 s'],
]);

/** Codes of what every floor has to say, gravest first. */
function needs(Household $house, bool $toKeeper = true): array
{
    return Gathering::of(Concerns::all(), $house, $toKeeper)->codes();
}

test('what was promised and is not so reaches the front page', function (): void {
    $shut = ['sieve' => ['53 tcp names refused']];
    expect(needs(household([dweller('sieve')], $shut)))
        ->toBe(['ports.shut'])
        // Of a box that is silent altogether that is said, and not of each of its ports.
        ->and(needs(household([dweller('sieve', hearing: heard('2026-11-25 14:50'))], $shut)))
        ->toBe(['upkeep.silent'])
        ->and(needs(household([dweller('wren', passedOver: 13, unfinishedJobs: 1)])))
        ->toBe(['bringup.unfinished'])
        ->and(needs(household([dweller('wren', hearing: heard(asked: '2026-11-25 13:00'))])))
        ->toBe(['upkeep.not_asked'])
        ->and(needs(household([dweller('wren', hearing: heard(asked: '2026-11-25 13:00'), covered: false)])))
        ->toBe(['addresses.outside_network'])
        ->and(needs(household([dweller('wren')], ['wren' => ['80 tcp page open', '80 tcp other']])))
        ->toBe(['ports.clash'])
        ->and(
            needs(household([dweller('wren', fedBy: 'desk strip'), dweller('larder', fedBy: 'desk strip')])),
        )
        ->toBe(['upkeep.shared_switch']);
});

test('a box that is only planned needs nobody', function (): void {
    $planned = dweller(
        'wren',
        stage: Stage::Planned,
        hearing: heard('2026-11-25 14:00'),
        passedOver: 3,
        fedBy: 'desk strip',
    );
    expect(
        needs(
            household(
                [$planned, dweller('larder', fedBy: 'desk strip')],
                ['wren' => ['445 tcp share refused']],
                ['wren' => ['8443 tcp 2026-01-01']],
            ),
        ),
    )->toBe([]);
});

test('heat and wear of boxes as they were built reach the front page, by name', function (): void {
    $parts = new BoxParts(
        board: 'basalt',
        supply: 'supply-5a',
        cable: 'stout-05m',
        link: 'wired',
        image: 'server-64',
        card: 'card-16',
        case: 'closed',
    );
    $house = household([dweller('lantern', job: 'automation-hub', parts: $parts)]);
    $findings = Gathering::of(Concerns::all(), $house, true);
    $plan = PlanOfBox::of($house->boxes()[0]->jobs, $parts, shelf());
    expect($findings->codes())
        ->toBe(['plan.heat_throttles', 'plan.card_wears_out'])
        ->and($findings->list[0]->found)
        ->toBe('Lantern: '.Heat::of($plan)->finding()->found)
        // Parts that the catalogue does not hold any more are not judged.
        ->and(
            needs(household([dweller('lantern', job: 'automation-hub', parts: new BoxParts(board: 'gone'))])),
        )
        ->toBe([]);
});

test('the picture is read part by part, and each part once', function (): void {
    $house = household([dweller('sieve')], ['sieve' => ['53 tcp names open']]);
    $records = (new ReflectionProperty($house, 'records'))->getValue($house);
    expect($records->read)->toBe([]);
    $house->standing();
    expect($records->read)->toBe(['boxes']);
    needs($house);
    needs($house);
    expect($records->read)
        ->toBe(['boxes', 'services'])
        ->and($house->services($house->boxes()[0]))
        ->toHaveCount(1)
        ->and($house->services())
        ->toHaveCount(1);
});

test('every concern has a code that stands with its own stage', function (): void {
    $house = household(
        [
            dweller(
                'sieve',
                job: 'dns-filter',
                hearing: heard('2026-11-25 14:10'),
                updated: new DateTimeImmutable('2026-01-01'),
                passedOver: 1,
            ),
            dweller('larder', covered: false, fedBy: 'strip'),
            dweller('wren', hearing: heard(asked: '2026-11-25 12:00'), fedBy: 'strip'),
        ],
        ['larder' => ['80 tcp a refused', '80 tcp b']],
        ['larder' => ['8443 tcp 2026-11-01']],
    );
    foreach (Concerns::all() as $concern) {
        $stage = strtolower(explode('\\', $concern::class)[1]);
        foreach ($concern->findings($house) as $finding) {
            expect([$concern::class, explode('.', $finding->code)[0]])->toBe([$concern::class, $stage]);
        }
    }
    expect(count(array_unique(needs($house))))->toBe(11);
});

test('the lead counts only who was asked', function (array $hearings, string $lead): void {
    $boxes = array_map(
        fn (Hearing $hearing, int $at): Box => dweller("box{$at}", hearing: $hearing),
        $hearings,
        array_keys($hearings),
    );
    expect((new Outlook(household($boxes), 0))->lead())->toBe($lead);
})->with([
    'all' => [fn () => [heard(), heard()], 'All two boxes answer.'],
    'one forgotten' => [
        fn () => [heard(), heard(asked: '2026-11-25 13:00')],
        'One of two boxes answers, one was not asked lately.',
    ],
    'nobody' => [
        fn () => [heard(asked: '2026-11-25 13:00'), heard(asked: '2026-11-25 13:00')],
        'No box was asked lately.',
    ],
    'the only one' => [fn () => [heard(asked: '2026-11-25 13:00')], 'The one box was not asked lately.'],
]);

test('the outlook in a sentence', function (): void {
    $house = household(
        [
            dweller('sieve', job: 'dns-filter'),
            dweller('culvert', job: 'tunnel-endpoint'),
            dweller(
                'seedpress',
                hearing: heard('2026-11-25 14:10'),
                job: 'print-host',
                updated: new DateTimeImmutable('2026-06-01'),
            ),
        ],
        openings: ['culvert' => ['51944 udp']],
    );
    $outlook = new Outlook($house, 1);
    expect($outlook->lead())
        ->toBe('Two of three boxes answer.')
        ->and($outlook->rest())
        ->toBe('One way in from outside, and it is the one that is meant. One update is due.')
        ->and(needs($house))
        ->toBe(['upkeep.silent', 'upkeep.no_stand_in', 'upkeep.overdue']);
});

test(
    'a way in to a box that is not meant for it is a finding, and so is one that nobody looked at again',
    function (): void {
        $house = household([dweller('larder', job: 'file-store')], openings: ['larder' => ['8443 tcp']]);
        expect(needs($house))
            ->toBe(['reach.needless_opening'])
            ->and((new Outlook($house, 0))->rest())
            ->toContain('one of them')
            ->and((new Outlook($house, 0))->lead())
            ->toBe('The one box answers.')
            // Guests are told of neither.
            ->and(needs($house, false))
            ->toBe([])
            ->and((new Outlook($house, 0, false))->rest())
            ->toBe('One way in from outside.');
        $tunnel = fn (string $day): array => needs(
            household(
                [dweller('culvert', job: 'tunnel-endpoint')],
                openings: ['culvert' => ["51944 udp {$day}"]],
            ),
        );
        expect([$tunnel('2026-11-24'), $tunnel('2026-11-25'), $tunnel('2026-11-26')])->toBe([
            ['reach.review_due'],
            [],
            [],
        ]);
    },
);

test('an empty burrow teaches the first step', function (): void {
    expect((new Outlook(household([]), 0))->rest())
        ->toContain('New box')
        ->and(needs(household([])))
        ->toBe([]);
});

test('two filters stand in for one another', function (): void {
    expect(needs(household([dweller('a', job: 'dns-filter'), dweller('b', job: 'dns-filter')])))
        ->toBe([])
        ->and(needs(household([dweller('a', job: 'dns-filter'), dweller('b', job: 'file-store')])))
        ->toBe(['upkeep.no_stand_in']);
});

test('a switch takes its boxes in the order that hurts least', function (): void {
    $graph = new PowerGraph([
        new Feed('sieve', 'desk strip', []),
        new Feed('larder', 'desk strip', ['sieve']),
        new Feed('lantern', 'reading room', ['larder']),
        new Feed('culvert', '', ['lantern']),
        new Feed('dewpoint', 'desk strip', ['larder', 'sieve']),
        new Feed('wren', '', []),
    ]);
    expect($graph->switches())
        ->toBe(['desk strip', 'reading room'])
        ->and($graph->goDark('desk strip'))
        ->toBe(['dewpoint', 'larder', 'sieve'])
        ->and($graph->suffer('desk strip'))
        ->toBe(['lantern', 'culvert'])
        ->and($graph->goDark('reading room'))
        ->toBe(['lantern'])
        ->and($graph->suffer('reading room'))
        ->toBe(['culvert'])
        ->and(SharedSwitches::of($graph)->codes())
        ->toBe(['upkeep.shared_switch'])
        ->and(SharedSwitches::of($graph)->list[0]->do)
        ->toBe('Shut down first, in this order: dewpoint, larder, sieve.');
});

test('boxes that depend on each other in a circle still end', function (): void {
    $graph = new PowerGraph([
        new Feed('a', 's', ['b']),
        new Feed('b', 's', ['a']),
        new Feed('c', 's', ['c']),
    ]);
    expect($graph->goDark('s'))
        ->toEqualCanonicalizing(['a', 'b', 'c'])
        ->and($graph->suffer('s'))
        ->toBe([]);
});

test('a shutdown order never takes a box before those that depend on it', function (): void {
    mt_srand(31);
    for ($i = 0; $i < 100; $i++) {
        $names = array_map(fn (int $n): string => "box{$n}", range(0, mt_rand(1, 9)));
        // Each box depends only on earlier ones, so that there is no circle.
        $feeds = array_map(
            fn (string $name, int $n): Feed => new Feed(
                $name,
                's',
                $n === 0 ? [] : array_slice($names, 0, mt_rand(0, $n)),
            ),
            $names,
            array_keys($names),
        );
        shuffle($feeds);
        $order = array_flip((new PowerGraph($feeds))->goDark('s'));
        foreach ($feeds as $feed) {
            foreach ($feed->dependsOn as $needed) {
                expect($order[$feed->box])->toBeLessThan($order[$needed]);
            }
        }
    }
});

test('a page gets its usual port, else the next one that nothing in the house has', function (): void {
    $scheme = new PortScheme([
        8081 => 'lantern, its own page',
        8082 => 'dewpoint, its own page',
        8085 => 'larder, sync',
    ]);
    expect($scheme->propose()->number)
        ->toBe(8083)
        ->and($scheme->propose(Port::of(8090))->number)
        ->toBe(8090)
        ->and($scheme->propose(Port::of(8085))->number)
        ->toBe(8083)
        ->and($scheme->with([8083 => 'x'])->propose()->number)
        ->toBe(8084);
    $codes = fn (string $typed): array => $scheme->check($typed, 'ports_1')->codes();
    expect([$codes('8090'), $codes(' 9000 ')])->toBe([[], []]);
    foreach (['', 'http', '80', '1023', '65536', '519440', '-8090', '8090.0', '0x1f90'] as $typed) {
        expect([$typed, $codes($typed)])->toBe([$typed, ['ports.not_for_a_page']]);
    }
    expect($codes('8082'))
        ->toBe(['ports.used_elsewhere'])
        ->and($scheme->check('8082', 'ports_1')->blocks())
        ->toBeFalse()
        ->and($scheme->check('8082', 'ports_1')->list[0]->found)
        ->toContain('dewpoint');
});

test('jobs whose pages have no port of their own share a box, each with its own number', function (): void {
    $hub = catalogue('job')['automation-hub'];
    expect($hub->askedPort()?->port->number)
        ->toBe(8082)
        ->and($hub->listeningAt(8097)->askedPort()?->port->number)
        ->toBe(8097)
        ->and($hub->listeningAt(8097)->servicePort()?->port->number)
        ->toBe(8097)
        ->and($hub->listeningAt(null))
        ->toBe($hub)
        ->and(catalogue('job')['file-store']->listeningAt(8097))
        ->toEqual(catalogue('job')['file-store']);
});
