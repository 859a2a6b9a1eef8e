<?php

declare(strict_types=1);

use Burrow\Ground\Feed;
use Burrow\Ground\Outlook;
use Burrow\Ground\PowerGraph;
use Burrow\Ground\Standing;
use Burrow\Household\Hearing;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Ports\PortTable;
use Burrow\Ports\PortUse;
use Burrow\Quantity\Bytes;
use Burrow\Stores\DiskChoice;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use Burrow\Upkeep\Due;

function disk(string $name, float $gigabytes, array $mounts = [], bool $readOnly = false, array $holds = []): BlockDevice
{
    return new BlockDevice($name, Bytes::giga($gigabytes), null, "S{$name}", 'usb', false, $readOnly, $mounts, $holds);
}

test('due is the last update plus the shortest cadence', function (): void {
    $due = Due::of('culvert', new DateTimeImmutable('2026-11-20 10:00'), ['files' => 30, 'tunnel' => 7], new DateTimeImmutable('2026-11-25 10:00'));
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
    expect(Due::of('larder', new DateTimeImmutable('2028-02-10'), ['files' => 30], new DateTimeImmutable('2028-02-10'))->date->format('Y-m-d'))->toBe(
        '2028-03-11',
    );
});

test('a box is in time, soon due or late', function (string $now, string $code, string $words): void {
    $due = Due::of('larder', new DateTimeImmutable('2026-11-01 12:00'), ['files' => 30], new DateTimeImmutable($now));
    expect($due->finding()->code)->toBe($code)->and($due->finding()->found)->toBe($words);
})->with([
    ['2026-11-02 12:00', 'upkeep.in_time', 'Larder is in time: due in 29 days.'],
    ['2026-11-28 23:00', 'upkeep.due_soon', 'Larder is due in 3 days.'],
    ['2026-12-01 11:00', 'upkeep.due_soon', 'Larder is due today.'],
    ['2026-12-01 23:00', 'upkeep.due_soon', 'Larder is due today.'],
    ['2026-12-02 01:00', 'upkeep.overdue', 'Larder is 1 day past its update.'],
    ['2026-12-11 13:00', 'upkeep.overdue', 'Larder is 10 days past its update.'],
]);

test('a port is held once per box and protocol', function (): void {
    $use = fn (string $box, int $port, Protocol $protocol, string $for): PortUse => new PortUse($box, Port::of($port), $protocol, $for);
    $table = new PortTable([
        $use('sieve', 53, Protocol::Tcp, 'names'),
        $use('sieve', 53, Protocol::Udp, 'names'),
        $use('larder', 53, Protocol::Tcp, 'other box'),
        $use('sieve', 80, Protocol::Tcp, 'its page'),
        $use('sieve', 80, Protocol::Tcp, 'a second page'),
        $use('culvert', 51944, Protocol::Udp, 'tunnel'),
        $use('lantern', 40000, Protocol::Tcp, 'page'),
    ]);
    $findings = $table->findings();
    expect($findings->codes())
        ->toBe(['ports.clash', 'ports.ephemeral'])
        ->and($findings->list[0]->found)
        ->toContain('its page and a second page')
        ->and($findings->list[1]->found)
        ->toContain('40000');
});

test('one disk can be the store', function (): void {
    $choice = DiskChoice::among([disk('mmcblk0', 32, ['/', '/boot/firmware']), disk('sda', 500.1)], Bytes::giga(500));
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

/** A box that was asked a minute before 15:00, and is silent since then or answers. */
function heard(?string $silentSince = null, string $asked = '2026-11-25 14:59'): Hearing
{
    $asked = new DateTimeImmutable($asked);

    return Hearing::of($asked, $silentSince === null ? $asked : null, $silentSince === null ? null : new DateTimeImmutable($silentSince), new DateTimeImmutable('2026-11-25 15:00'));
}

test('what is heard of a box, and how old that is', function (?string $asked, ?string $answered, ?string $silent, string $words): void {
    $at = fn (?string $time): ?DateTimeImmutable => $time === null ? null : new DateTimeImmutable("2026-11-25 {$time}");
    expect(Hearing::of($at($asked), $at($answered), $at($silent), new DateTimeImmutable('2026-11-25 15:00'))->words())->toBe($words);
})->with([
    'asked just now' => ['14:59', '14:59', null, 'answers'],
    'silent' => ['14:59', '12:00', '12:01', 'silent for 2 h 59 min'],
    'silent since it was first asked' => ['14:59', null, '14:59', 'silent for 60 s'],
    'nobody asks any more' => ['14:02', '14:02', null, 'not asked since Wed 14:02'],
    'nobody asks any more, and it was silent then' => ['14:02', '12:00', '12:01', 'not asked since Wed 14:02'],
    'exactly five minutes ago' => ['14:55', '14:55', null, 'answers'],
    'never asked' => [null, null, null, 'never asked'],
    'a record of an answer, and none of a question' => [null, '14:59', null, 'never asked'],
    'a clock that was set back' => ['15:30', '15:30', null, 'answers'],
    'a clock that was set back while it was silent' => ['15:30', null, '15:20', 'silent for 0 s'],
]);

test('what was promised and is not so reaches the front page', function (): void {
    $findings = fn (Standing ...$boxes): array => (new Outlook(array_values($boxes), Findings::of()))->findings()->codes();
    expect($findings(new Standing('sieve', heard(), [], false, '', shut: ['53 tcp, name lookups: refused'])))
        ->toBe(['ground.port_shut'])
        ->and($findings(new Standing('sieve', heard('2026-11-25 14:50'), [], false, '', shut: ['53 tcp, name lookups: silent'])))
        ->toBe(['ground.silent'])
        ->and($findings(new Standing('wren', heard(), [], false, '', leftOpen: 14)))
        ->toBe(['ground.unfinished'])
        ->and($findings(new Standing('wren', heard(asked: '2026-11-25 13:00'), [], false, '')))
        ->toBe(['ground.not_asked'])
        ->and($findings(new Standing('wren', heard(asked: '2026-11-25 13:00'), [], false, '', covered: false)))
        ->toBe(['ground.outside_network']);
});

test('the lead counts only who was asked', function (array $boxes, string $lead): void {
    expect((new Outlook(array_map(fn (Hearing $hearing): Standing => new Standing('a', $hearing, [], false, ''), $boxes), Findings::of()))->lead())->toBe($lead);
})->with([
    'all' => [fn () => [heard(), heard()], 'All two boxes answer.'],
    'one forgotten' => [fn () => [heard(), heard(asked: '2026-11-25 13:00')], 'One of two boxes answers, one was not asked lately.'],
    'nobody' => [fn () => [heard(asked: '2026-11-25 13:00'), heard(asked: '2026-11-25 13:00')], 'No box was asked lately.'],
    'the only one' => [fn () => [heard(asked: '2026-11-25 13:00')], 'The one box was not asked lately.'],
]);

test('the outlook in a sentence', function (): void {
    $box = fn (string $name, bool $silent = false, array $openings = [], bool $may = false, string $serves = ''): Standing => new Standing(
        $name,
        heard($silent ? '2026-11-25 14:10' : null),
        $openings,
        $may,
        $serves,
    );
    $due = Findings::of(Finding::warn('upkeep.overdue', 'Lantern is late.', '', ''), Finding::fine('upkeep.in_time', 'x'));
    $outlook = new Outlook([$box('sieve', serves: 'names'), $box('culvert', openings: ['51944 udp'], may: true), $box('seedpress', true)], $due);
    expect($outlook->lead())
        ->toBe('Two of three boxes answer.')
        ->and($outlook->rest())
        ->toBe('One way in from outside, and it is the one that is meant. One update is due.')
        ->and($outlook->findings()->codes())
        ->toBe(['ground.silent', 'ground.no_stand_in', 'upkeep.overdue']);
});

test('a way in to a box that is not meant for it is a finding', function (): void {
    $outlook = new Outlook([new Standing('larder', heard(), ['8443 tcp'], false, '')], Findings::of());
    expect($outlook->findings()->codes())
        ->toBe(['ground.needless_opening'])
        ->and($outlook->rest())
        ->toContain('one of them')
        ->and($outlook->lead())
        ->toBe('The one box answers.');
    $guests = new Outlook([new Standing('larder', heard(), ['8443 tcp'], false, '')], Findings::of(), false);
    expect($guests->findings()->codes())->toBe([])->and($guests->rest())->toBe('One way in from outside.');
});

test('an empty burrow teaches the first step', function (): void {
    expect((new Outlook([], Findings::of()))->rest())
        ->toContain('New box')
        ->and((new Outlook([], Findings::of()))->findings()->isEmpty())
        ->toBeTrue();
});

test('two filters stand in for one another', function (): void {
    expect(
        (new Outlook([new Standing('a', heard(), [], false, 'names'), new Standing('b', heard(), [], false, 'names')], Findings::of()))
            ->findings()
            ->isEmpty(),
    )->toBeTrue();
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
        ->and($graph->findings()->codes())
        ->toBe(['ground.shared_switch']);
});

test('boxes that depend on each other in a circle still end', function (): void {
    $graph = new PowerGraph([new Feed('a', 's', ['b']), new Feed('b', 's', ['a']), new Feed('c', 's', ['c'])]);
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
            fn (string $name, int $n): Feed => new Feed($name, 's', $n === 0 ? [] : array_slice($names, 0, mt_rand(0, $n))),
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
