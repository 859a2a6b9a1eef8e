<?php

declare(strict_types=1);

use Burrow\Net\Ipv4;
use Burrow\Stores\Backup\Keep;
use Burrow\Stores\Backup\TypedBackup;

// A backup as it is typed: each field by itself, both sides of each edge.

/** @return list<string> the fields that something is said of */
function backupTyped(array $changes): array
{
    $larder = dweller('larder', address: Ipv4::parse('172.22.8.11'));
    $lantern = dweller('lantern', address: Ipv4::parse('172.22.8.13'));
    $bare = dweller('wren', address: null);
    $typed = [
        'backup_box' => (string) $larder->id,
        'backup_name' => 'seed-scans',
        'paths' => "/srv/store\n /etc \n\n",
        'database' => 'none',
        'target_box' => (string) $lantern->id,
        'target_account' => 'keeper',
        'target_port' => '',
        'target_folder' => '/srv/copies',
        'runs_at' => '02:30',
        'keep_daily' => '7',
        ...str_replace('WREN', (string) $bare->id, $changes),
    ];

    return array_map(
        fn ($one): string => (string) $one->place?->field,
        TypedBackup::of(household([$larder, $lantern, $bare]), $typed)->findings->list,
    );
}

test('what is typed of a backup is taken or told at its field', function (
    array $changes,
    array $fields,
): void {
    expect(backupTyped($changes))->toBe($fields);
})->with([
    'as it should be' => [[], []],
    'no box' => [['backup_box' => ''], ['backup_box']],
    'a box that is none' => [['backup_box' => '7'], ['backup_box']],
    'a name with a blank' => [['backup_name' => 'seed scans'], ['backup_name']],
    'a name with a capital' => [['backup_name' => 'Scans'], ['backup_name']],
    'no folders' => [['paths' => "\n \n"], ['paths']],
    'thirty folders' => [
        ['paths' => implode("\n", array_map(fn (int $i): string => "/srv/{$i}", range(1, 30)))],
        [],
    ],
    'thirty-one' => [
        ['paths' => implode("\n", array_map(fn (int $i): string => "/srv/{$i}", range(1, 31)))],
        ['paths'],
    ],
    'what the system makes' => [['paths' => '/proc/1'], ['paths']],
    'a path that climbs' => [['paths' => '/srv/../etc'], ['paths']],
    'the root' => [['paths' => '/'], ['paths']],
    'a folder that is none' => [['paths' => "/srv\nstore"], ['paths']],
    'a database without its file' => [['database' => 'sqlite'], ['database_file']],
    'a database with it' => [['database' => 'sqlite', 'database_file' => '/var/lib/x.db'], []],
    'another database wants none' => [['database' => 'mariadb'], []],
    'nowhere to' => [['target_box' => ''], ['target_host']],
    'to a machine elsewhere' => [['target_box' => '', 'target_host' => 'home.thistledown.example'], []],
    'to a name that is none' => [['target_box' => '', 'target_host' => '-x'], ['target_host']],
    'an option as a host' => [['target_box' => '', 'target_host' => '-oProxyCommand=x'], ['target_host']],
    'to a box without an address' => [['target_box' => 'WREN'], ['target_box']],
    'to an account that is none' => [['target_account' => 'Keeper'], ['target_account']],
    'to a folder that is none' => [['target_folder' => 'copies'], ['target_folder']],
    'port nought' => [['target_port' => '0'], ['target_port']],
    'the first port' => [['target_port' => '1'], []],
    'the last port' => [['target_port' => '65535'], []],
    'beyond it' => [['target_port' => '65536'], ['target_port']],
    'a word' => [['target_port' => 'ssh'], ['target_port']],
    'the last minute' => [['runs_at' => '23:59'], []],
    'beyond it, of the day' => [['runs_at' => '24:00'], ['runs_at']],
    'at no time' => [['runs_at' => ''], ['runs_at']],
    'the most copies' => [['keep_yearly' => '400'], []],
    'more copies' => [['keep_yearly' => '401'], ['keep_yearly']],
    'far too many' => [['keep_daily' => '4000'], ['keep_daily', 'keep_daily']],
    'no number of copies' => [['keep_weekly' => 'some'], ['keep_weekly']],
    'no copies at all' => [['keep_daily' => '0'], ['keep_daily']],
    'one copy a year alone' => [['keep_daily' => '', 'keep_yearly' => '1'], []],
]);

test('of many copies those are kept that were said, the newest of each time', function (): void {
    $stamps = array_map(
        fn (int $day): string => gmdate('Y-m-d\THis\Z', gmmktime(2, 30, 1, 11, 26, 2026) - $day * 86400),
        range(0, 800),
    );
    $days = fn (Keep $keep): array => array_map(
        fn (string $one): string => substr($one, 0, 10),
        $keep->kept($stamps),
    );
    expect($days(new Keep(3, 0, 0, 0)))
        ->toBe(['2026-11-26', '2026-11-25', '2026-11-24'])
        // Weeks end on Sundays (ISO 8601): the newest is in this week.
        ->and($days(new Keep(0, 3, 0, 0)))
        ->toBe(['2026-11-26', '2026-11-22', '2026-11-15'])
        ->and($days(new Keep(0, 0, 3, 0)))
        ->toBe(['2026-11-26', '2026-10-31', '2026-09-30'])
        ->and($days(new Keep(0, 0, 0, 2)))
        ->toBe(['2026-11-26', '2025-12-31'])
        ->and($days(new Keep(2, 2, 2, 2)))
        ->toBe(['2026-11-26', '2026-11-25', '2026-11-22', '2026-10-31', '2025-12-31'])
        // The newest is never thrown away, and what is no copy is none.
        ->and(
            (new Keep(0, 0, 0, 0))->kept([
                '2026-11-26T023001Z',
                'lost+found',
                '2026-11-25T023001Z',
                '2026-13-01T000000Z',
            ]),
        )
        ->toBe(['2026-11-26T023001Z']);
});
