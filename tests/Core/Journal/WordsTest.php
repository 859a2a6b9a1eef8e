<?php

declare(strict_types=1);

use Burrow\Household\FolderPair;
use Burrow\Journal\Compare\Permutation;

// How rare a difference is, in words; and when two ends of a folder differ.

test('a difference is as rare as it comes by chance', function (array $a, array $b, string $words): void {
    mt_srand(3);
    expect(Permutation::of($a, $b, fn (int $below): int => mt_rand(0, $below - 1))->words())->toBe(
        "By chance alone a difference as large comes {$words}.",
    );
})->with([
    // Of 2 ways, 6, 20, 70, 252, 924: as many are as far apart as these two.
    'one against one' => [[1.0], [2.0], 'nearly always: it may well be chance'],
    'two against two' => [[1.0, 2.0], [3.0, 4.0], 'in 33 of 100: it may well be chance'],
    'three against three' => [[1.0, 2.0, 3.0], [4.0, 5.0, 6.0], 'in 10 of 100: it may well be chance'],
    'four against four' => [[1.0, 2.0, 3.0, 4.0], [5.0, 6.0, 7.0, 8.0], 'in 3 of 100: it is seldom chance'],
    'five against five' => [range(1.0, 5.0), range(6.0, 10.0), 'in 8 of 1000: it is hardly chance'],
    'six against six' => [range(1.0, 6.0), range(7.0, 12.0), 'in 2 of 1000: it is hardly chance'],
    'eight against eight' => [
        range(1.0, 8.0),
        range(9.0, 16.0),
        'in fewer than 1 of 1000: it is hardly chance',
    ],
    // One outlier of twenty, of a hundred, of a thousand: one way of dealing is as far apart.
    'one of twenty' => [[500.0], range(1.0, 19.0), 'in 5 of 100: it may well be chance'],
    'one of a hundred' => [[5000.0], range(1.0, 99.0), 'in 1 of 100: it is seldom chance'],
    'one of a thousand' => [[500_000.0], range(1.0, 999.0), 'in 1 of 1000: it is hardly chance'],
    'the same' => [[1.0, 2.0], [1.0, 2.0], 'nearly always: it may well be chance'],
]);

test('two ends differ when that was seen last', function (
    ?string $inStep,
    ?string $differed,
    bool $differs,
): void {
    $at = fn (?string $when): ?DateTimeImmutable => $when === null ? null : new DateTimeImmutable($when);
    $pair = new FolderPair(1, 'larder', '/srv', 'desk', null, $at($inStep), $at($differed));
    expect($pair->differs())->toBe($differs);
})->with([
    [null, null, false],
    ['2026-11-25', null, false],
    [null, '2026-11-25', true],
    ['2026-11-25', '2026-11-25', true],
    ['2026-11-26', '2026-11-25', false],
    ['2026-11-24', '2026-11-25', true],
]);
