<?php

declare(strict_types=1);

use Burrow\BringUp\Step\InventoryFindings;
use Burrow\BringUp\Told\Inventory;

// What there is before a move, read as people write it, and what of it is missing afterwards.

test('a line is read as people write it', function (string $line, ?string $what, int $count): void {
    $read = Inventory::read($line);
    expect(array_values($read->things))->toBe($what === null ? [] : [['what' => $what, 'count' => $count]]);
})->with([
    ['12 devices', 'devices', 12],
    ['12 × devices', 'devices', 12],
    ['12x devices', 'devices', 12],
    ['12 x devices', 'devices', 12],
    ['devices: 12', 'devices', 12],
    ['devices = 12', 'devices', 12],
    ['devices 12', 'devices', 12],
    ["  -  devices\t 12 ", 'devices', 12],
    ['• hall lamp', 'hall lamp', 1],
    ['0 alarms', 'alarms', 0],
    ['3 printers on floor 2', 'printers on floor 2', 3],
    ['Geräte: 4', 'Geräte', 4],
    ['12', null, 0],
    ['---', null, 0],
    ['12345678 things', null, 0],
    [str_repeat('a', 121), null, 0],
]);

test(
    'what stands twice is added up, whatever its letters, and what cannot be read is told by its line',
    function (): void {
        $read = Inventory::read("3 Lamps\r\n\r\nlamps: 2\r12\nheater");
        expect($read->total())
            ->toBe(6)
            ->and($read->unread)
            ->toBe([4])
            ->and((string) $read)
            ->toBe("5 Lamps\n1 heater")
            ->and(Inventory::read((string) $read)->things)
            ->toBe($read->things);
    },
);

test('less is told with both numbers, more is not less', function (): void {
    $before = Inventory::read("12 devices\n7 automations\n2 logins");
    $after = Inventory::read("11 devices\nAutomations 9");
    expect($before->lessIn($after))
        ->toBe([
            ['what' => 'devices', 'before' => 12, 'after' => 11],
            ['what' => 'logins', 'before' => 2, 'after' => 0],
        ])
        ->and($before->lessIn($before))
        ->toBe([])
        ->and($after->lessIn($before))
        ->toBe([['what' => 'Automations', 'before' => 9, 'after' => 7]]);
});

test('what a person counted comes back as it was, whatever the lists', function (int $seed): void {
    mt_srand($seed);
    $words = ['lamp', 'thermostat', 'Fenster', 'door 2', 'über', 'printer (old)', 'tv', 'a-b', 'x/y'];
    for ($round = 0; $round < 40; $round++) {
        $want = $lines = [];
        foreach ((array) array_rand(array_flip($words), mt_rand(2, 9)) as $word) {
            $count = mt_rand(0, 500);
            $want[mb_strtolower($word)] = $count;
            $lines[] = [
                "{$count} {$word}",
                "{$word}: {$count}",
                " {$count} × {$word} ",
                "* {$word} = {$count}",
            ][mt_rand(0, 3)];
        }
        shuffle($lines);
        $read = array_map(
            fn (array $one): int => $one['count'],
            Inventory::read(implode("\n", $lines))->things,
        );
        ksort($read);
        ksort($want);
        expect($read)->toBe($want);
    }
})->with([1, 2, 3]);

test('hostile texts have a budget', function (): void {
    $long = Inventory::read(str_repeat("1 thing\n", 5000));
    expect($long->tooLong)
        ->toBeTrue()
        ->and($long->total())
        ->toBe(Inventory::MOST_LINES)
        ->and(Inventory::read(str_repeat('x', 1_000_000))->tooLong)
        ->toBeTrue()
        ->and(Inventory::read("\xff\xfe\x00 5")->total())
        ->toBeLessThan(6)
        ->and(Inventory::read(str_repeat("999999 a\n", 190))->total())
        ->toBe(1_000_000);
});

test('of what is missing eight kinds are named', function (int $missing, string $ends): void {
    $counted = fn (int $from): array => array_map(fn (int $i): string => "2 kind {$i}", range($from, 20));
    $less = Inventory::read(implode("\n", $counted(1)))->lessIn(
        Inventory::read(implode("\n", $counted($missing + 1))),
    );
    $said = InventoryFindings::notAllThere($less, 'counted')->found;
    expect($said)->toEndWith($ends)->toStartWith('Missing: kind 1 (0 of 2)');
})->with([
    [1, 'kind 1 (0 of 2).'],
    [8, 'kind 8 (0 of 2).'],
    [9, 'kind 8 (0 of 2) and 1 more kind.'],
    [12, 'kind 8 (0 of 2) and 4 more kinds.'],
]);
