<?php

declare(strict_types=1);

use Burrow\Household\Copying;
use Burrow\Quantity\Bytes;
use Burrow\Stores\Backup\BackupConcern;
use Burrow\Stores\Backup\CopyWindow;
use Burrow\Stores\Backup\Counted;
use Burrow\Stores\Backup\Keep;
use Burrow\Stores\Backup\Said;

// Copies: which are kept, what is said of them, and what their scripts said.

/** A copy of larder's that went well this morning and was brought back a month ago. */
function copying(mixed ...$with): Copying
{
    foreach (['ran', 'failed', 'tried'] as $moment) {
        if (is_string($with[$moment] ?? null)) {
            $with[$moment] = new DateTimeImmutable($with[$moment]);
        }
    }

    return new Copying(
        ...[
            'id' => 1,
            'box' => 'larder',
            'name' => 'seeds',
            'to' => 'dewpoint',
            'elsewhere' => false,
            'encrypted' => false,
            'keyKept' => false,
            'ran' => new DateTimeImmutable('2026-11-25 02:31'),
            'tried' => new DateTimeImmutable('2026-10-20 11:00'),
            'worked' => true,
            ...$with,
        ],
    );
}

/** @param  list<Copying>  $copyings */
function saidOf(array $copyings, array $boxes = []): array
{
    $house = household($boxes ?: [dweller('larder', job: 'file-store')], told: ['copyings' => $copyings]);

    return (new BackupConcern())->findings($house)->codes();
}

test('what is said of a copy', function (array $with, array $codes): void {
    $away = copying(name: 'away', to: 'copies.example.net', elsewhere: true, encrypted: true, keyKept: true);
    expect(saidOf([copying(...$with), $away]))->toBe($codes);
})->with([
    'all is well' => [[], []],
    'late' => [['ran' => '2026-11-22 02:31'], ['stores.copy_late']],
    'two days are not late yet' => [['ran' => '2026-11-23 02:31'], []],
    'never seen to run' => [['ran' => null, 'tried' => null], ['stores.copy_never_ran']],
    'stopped since' => [['failed' => '2026-11-25 03:00', 'because' => 'no room'], ['stores.copy_failed']],
    'stopped before it went well' => [['failed' => '2026-11-24 03:00'], []],
    'never brought back' => [['tried' => null], ['stores.never_tried']],
    'brought back long ago' => [['tried' => '2026-04-01'], ['stores.tried_long_ago']],
    'brought back, and not whole' => [['worked' => false], ['stores.drill_failed']],
    'on the box itself' => [['to' => 'larder'], ['stores.same_box']],
    'elsewhere, and open' => [['elsewhere' => true], ['stores.open_elsewhere']],
    'a passphrase that dies with the box' => [['encrypted' => true], ['stores.key_on_box_only']],
]);

test('boxes without a copy: those with the household\'s files are told first', function (): void {
    $boxes = [dweller('larder', job: 'file-store'), dweller('sieve', job: 'dns-filter'), dweller('bare')];
    expect(saidOf([], $boxes))
        ->toBe(['stores.no_copy_of_files', 'stores.no_copy'])
        ->and(saidOf([copying()], $boxes))
        ->toBe(['stores.no_copy', 'stores.nothing_elsewhere']);
});

test('copies are counted: a plan that never ran is none', function (): void {
    $away = copying(to: 'copies.example.net', elsewhere: true);
    expect(Counted::of([copying(), $away])->isEnough())
        ->toBeTrue()
        ->and(
            Counted::of([copying(), copying(to: 'copies.example.net', elsewhere: true, ran: null)])->words(),
        )
        ->toBe('2 copies (3 wanted), 2 places, none elsewhere (1 wanted)')
        ->and(Counted::of([copying(to: 'larder'), $away])->words())
        ->toBe('3 copies, 2 places, 1 elsewhere');
});

test('grandfather, father and son over two years of nights', function (): void {
    $keep = new Keep(7, 4, 12, 1);
    $held = [];
    for ($day = strtotime('2024-11-25 02:30 UTC'); $day <= strtotime('2026-11-25 02:30 UTC'); $day += 86400) {
        $held = $keep->kept([...$held, gmdate('Y-m-d\\THis\\Z', $day)]);
    }
    expect($held[0])
        ->toBe('2026-11-25T023000Z')
        ->and(array_slice($held, 0, 7))
        ->toBe(
            array_map(
                fn (int $i): string => gmdate(
                    'Y-m-d\\THis\\Z',
                    strtotime('2026-11-25 02:30 UTC') - $i * 86400,
                ),
                range(0, 6),
            ),
        )
        // Sundays end their weeks; the last days of months end theirs.
        ->and(in_array('2026-11-15T023000Z', $held, true))
        ->toBeTrue()
        ->and(in_array('2026-10-31T023000Z', $held, true))
        ->toBeTrue()
        ->and(in_array('2025-12-31T023000Z', $held, true))
        ->toBeTrue()
        ->and(count($held))
        ->toBeLessThanOrEqual($keep->copies())
        ->and($keep->kept($held))
        ->toBe($held);
});

test('the newest is kept whatever was said, and what is no copy is nobody\'s', function (): void {
    expect(
        (new Keep(0, 0, 0, 1))->kept([
            '2026-11-25T023000Z',
            '2026-11-25T003000Z',
            'notes',
            '2026-13-01T000000Z',
        ]),
    )
        ->toBe(['2026-11-25T023000Z'])
        ->and((new Keep())->kept([]))
        ->toBe([]);
});

test('room that the copies take is worked out', function (): void {
    $keep = new Keep(7, 4, 12, 0);
    expect($keep->room(Bytes::giga(200), Bytes::giga(1))->decimal())
        ->toBe('572 GB')
        ->and($keep->roomWorking(Bytes::giga(200), Bytes::giga(1))->result)
        ->toBe('572 GB')
        ->and($keep->room(Bytes::of(PHP_INT_MAX), Bytes::of(PHP_INT_MAX))->count)
        ->toBeGreaterThan(0);
});

test('how long a copy of all would take is told by a copy that was large enough', function (): void {
    expect(CopyWindow::ofAll(Bytes::giga(200), Bytes::giga(2), 200)?->result)
        ->toBe('5 h 33 min')
        ->and(CopyWindow::ofAll(Bytes::giga(200), Bytes::giga(0.5), 200))
        ->toBeNull()
        ->and(CopyWindow::ofAll(Bytes::giga(200), Bytes::giga(2), 0))
        ->toBeNull();
});

test('what the scripts said is read from a journal and from a terminal', function (): void {
    $said = Said::all(
        "Nov 26 02:31 larder backup-seeds[411]: backup seeds: OK 2026-11-26T023001Z files=120 sent=5 total=900 seconds=7 kept=3\n".
            "noise\nbackup seeds: STOPPED: /srv/store is empty; is its disk mounted? Nothing was copied\r\n".
            "backup seeds: RESTORED 2026-11-26T023001Z into /srv/tried files=120 differ=2 seconds=61\n".
            "backup seeds: OK yesterday files=1\n",
    );
    expect(
        array_map(
            fn (Said $one): array => [$one->what, $one->sent, $one->total, $one->differ, $one->because],
            $said,
        ),
    )->toBe([
        ['made', 5, 900, 0, ''],
        ['stopped', 0, 0, 0, '/srv/store is empty; is its disk mounted? Nothing was copied'],
        ['restored', 0, 0, 2, ''],
    ]);
    expect($said[0]->stamp?->getTimestamp())->toBe(strtotime('2026-11-26 02:30:01 UTC'));
});

test('a copy that was brought back half a year ago is tried well enough', function (
    int $days,
    array $codes,
): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $copy = new Copying(
        id: 1,
        box: 'larder',
        name: 'larder',
        to: 'copies.example.net',
        elsewhere: true,
        encrypted: true,
        keyKept: true,
        ran: $now->modify('-1 day'),
        tried: $now->modify("-{$days} days"),
        worked: true,
    );
    $found = array_filter(BackupConcern::of($copy, household([dweller('larder')])));
    expect(array_values(array_map(fn ($one): string => $one->code, $found)))->toBe($codes);
})->with([[180, []], [181, ['stores.tried_long_ago']]]);

test('what a copy sent tells its rate from a gigabyte and a second on', function (
    int $bytes,
    int $seconds,
    bool $tells,
): void {
    expect(CopyWindow::ofAll(Bytes::of(5_000_000_000), Bytes::of($bytes), $seconds) !== null)->toBe($tells);
})->with([[1_000_000_000, 1, true], [999_999_999, 1, false], [1_000_000_000, 0, false]]);

test('three copies at two places, one of them elsewhere, are enough', function (
    array $to,
    bool $enough,
): void {
    $copies = array_map(
        fn (string $place): Copying => new Copying(
            id: 1,
            box: 'larder',
            name: 'larder',
            to: $place,
            elsewhere: $place === 'copies.example.net',
            encrypted: true,
            keyKept: true,
            ran: new DateTimeImmutable(THREE_O_CLOCK),
        ),
        $to,
    );
    expect(Counted::of($copies)->isEnough())->toBe($enough);
})->with([
    [['dewpoint', 'copies.example.net'], true],
    [['copies.example.net'], false],
    [['larder', 'larder'], false],
    [['dewpoint', 'hub'], false],
    [['copies.example.net', 'copies.example.net'], true],
]);

test('why a backup stopped is told in two hundred letters', function (): void {
    $why = str_repeat('a1b2c', 60);
    $all = Said::all("backup larder: STOPPED: {$why}");
    expect($all[0]->because)->toBe(substr($why, 0, 200));
});
