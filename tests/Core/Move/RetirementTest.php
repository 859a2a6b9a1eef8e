<?php

declare(strict_types=1);

use Burrow\Household\Copying;
use Burrow\Household\RetiredBox;
use Burrow\Judgement\Finding;
use Burrow\Move\Known;
use Burrow\Move\RetiredConcern;
use Burrow\Move\Retirement;
use Burrow\Net\Ipv4;

// What hangs on a box that is to be taken out of service.

/** Codes of what is found, "!" in front of what has to be over first. */
function retiring(array $with = [], array $house = [], Known $known = new Known()): array
{
    $box = dweller('larder', ...['hearing' => heard('2026-11-25 14:50'), ...$with]);
    $house += ['boxes' => []];
    $boxes = [$box, ...$house['boxes']];
    unset($house['boxes']);
    $found = Retirement::of(household($boxes, ...$house), $box, $known)->findings;

    return array_map(
        fn (Finding $one): string => ($one->severity->value === 'stop' ? '!' : '').$one->code,
        $found->list,
    );
}

function copiedTo(string $box, string $to, ?string $ran = '2026-11-25 02:00'): Copying
{
    return new Copying(
        1,
        $box,
        'seeds',
        $to,
        false,
        true,
        true,
        $ran === null ? null : new DateTimeImmutable($ran),
    );
}

test('only a box that was seen to be silent may go', function (): void {
    expect(retiring())
        ->toBe(['move.nothing_hangs'])
        ->and(retiring(['hearing' => heard()]))
        ->toBe(['!move.still_answers'])
        ->and(retiring(['hearing' => heard('2026-11-25 12:00', '2026-11-25 14:54')]))
        ->toBe(['!move.nobody_looked'])
        ->and(retiring(['hearing' => heard('2026-11-25 12:00', '2026-11-25 14:54'), 'covered' => false]))
        ->toBe(['move.nobody_looked']);
});

test('what leads to it and what lies on it has to be over first', function (): void {
    expect(retiring(house: ['openings' => ['larder' => ['8443 tcp', '51944 udp'], 'wren' => ['22 tcp']]]))
        ->toBe(['!move.still_open', '!move.still_open'])
        ->and(retiring(house: ['told' => ['copyings' => [copiedTo('wren', 'larder')]]]))
        ->toBe(['!move.keeps_copies'])
        ->and(retiring(house: ['told' => ['copyings' => [copiedTo('larder', 'wren')]]]))
        ->toBe(['move.nothing_hangs']);
});

test('what others lose is said, and does not hold it', function (): void {
    $filter = ['job' => 'dns-filter'];
    expect(retiring($filter))
        ->toBe(['move.only_one'])
        ->and(retiring($filter, ['boxes' => [dweller('sieve', job: 'dns-filter')]]))
        ->toBe(['move.nothing_hangs'])
        ->and(retiring(house: ['boxes' => [dweller('lantern')], 'dependsOn' => ['lantern' => ['larder']]]))
        ->toBe(['move.needed'])
        ->and(retiring(['job' => 'file-store'], ['told' => ['copyings' => []]]))
        ->toBe(['move.files_only_here'])
        ->and(retiring(['job' => 'file-store'], ['told' => ['copyings' => [copiedTo('larder', 'wren')]]]))
        ->toBe(['move.nothing_hangs'])
        ->and(
            retiring(['job' => 'file-store'], ['told' => ['copyings' => [copiedTo('larder', 'wren', null)]]]),
        )
        ->toBe(['move.files_only_here'])
        ->and(retiring(known: new Known(clients: ['the lectern'])))
        ->toBe(['move.still_held']);
});

test('the address is named where the reservation has to go, and each client is told', function (): void {
    $box = dweller('larder', hearing: heard('2026-11-25 14:50'), address: Ipv4::parse('172.22.8.11'));
    $steps = Retirement::of(household([$box]), $box, new Known(clients: ['the lectern']), '02:4b:1e:77:00:0b')
        ->steps;
    expect(array_column($steps, 'what'))
        ->toContain('Halt it', 'Take its address back', 'Tell the lectern', 'Wipe it on that day')
        ->and(implode(' ', array_column($steps, 'how')))
        ->toContain('172.22.8.11 for 02:4b:1e:77:00:0b');
});

test('a card is told on the day until which it was kept, and not once it is wiped', function (
    ?string $on,
    bool $wiped,
    int $count,
): void {
    $retired = new RetiredBox(
        7,
        'wren',
        new DateTimeImmutable('2026-10-25'),
        $on === null ? null : new DateTimeImmutable($on),
        $wiped,
    );
    $house = household([dweller('larder')], told: ['retired' => [$retired]]);
    expect(count((new RetiredConcern())->findings($house)->list))->toBe($count);
})->with([
    'the day before' => ['2026-11-26', false, 0],
    'the day' => ['2026-11-25', false, 1],
    'later, and wiped' => ['2026-11-20', true, 0],
    'no day' => [null, false, 0],
]);

test('only its own backups are run once more', function (): void {
    $box = dweller('larder', hearing: heard('2026-11-25 14:50'));
    $steps = fn (array $copyings): array => array_column(
        Retirement::of(household([$box], told: ['copyings' => $copyings]), $box, new Known())->steps,
        'what',
    );
    expect($steps([copiedTo('hub', 'dewpoint')]))
        ->not->toContain('Copy it once more')
        ->and($steps([copiedTo('hub', 'dewpoint'), copiedTo('larder', 'dewpoint')]))
        ->toContain('Copy it once more');
});
