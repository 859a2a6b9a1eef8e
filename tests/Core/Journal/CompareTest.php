<?php

declare(strict_types=1);

use Burrow\Journal\Compare\Permutation;
use Burrow\Journal\Draw\StripChart;

// Whether two groups of readings differ by more than chance.

test(
    'a published example: sixteen mice, seven treated (Efron and Tibshirani 1993, 2.1 and 15.2)',
    function (): void {
        $test = Permutation::of(
            [94, 197, 16, 38, 99, 141, 23],
            [52, 104, 146, 10, 51, 30, 40, 27, 46],
            fn (int $below): int => mt_rand(0, $below - 1),
        );
        // The difference is 30.63; one-sided they found 132 of 1000 draws as large, so about twice that for both sides.
        expect($test->isExact)
            ->toBeTrue()
            ->and(round($test->difference, 2))
            ->toBe(30.63)
            ->and($test->odds)
            ->toBeBetween(0.24, 0.32)
            ->and($test->words())
            ->toContain('it may well be chance');
    },
);

test('every way of dealing is looked at, as another program looks at them', function (): void {
    mt_srand(18);
    for ($try = 0; $try < 12; $try++) {
        $draw = fn (int $n): array => array_map(fn (): float => mt_rand(0, 200) / 10, range(1, $n));
        [$a, $b] = [$draw(mt_rand(1, 5)), $draw(mt_rand(2, 6))];
        $said = run(
            "python3 -c 'import sys, json, itertools
a, b = json.load(sys.stdin); s = a + b; n = len(a); d = lambda c: abs(sum(c)/n - (sum(s)-sum(c))/len(b))
all = [d(c) for c in itertools.combinations(s, n)]; print(sum(x >= d(a) - 1e-9 for x in all) / len(all))'",
            (string) json_encode([$a, $b]),
        );
        $test = Permutation::of($a, $b, fn (int $below): int => mt_rand(0, $below - 1));
        expect($test->odds)->toEqualWithDelta((float) $said['out'], 1e-9);
    }
});

test('with many readings ways are drawn: what differs is found, what does not is left', function (): void {
    mt_srand(19);
    $noise = fn (float $mean): array => array_map(
        fn (): float => $mean + mt_rand(-100, 100) / 50,
        range(1, 30),
    );
    $random = fn (int $below): int => mt_rand(0, $below - 1);
    $far = Permutation::of($noise(20.0), $noise(23.0), $random);
    expect($far->isExact)->toBeFalse()->and($far->words())->toContain('hardly chance');
    // Of two that are the same, about one in twenty is said to differ.
    $seldom = 0;
    for ($try = 0; $try < 40; $try++) {
        $one = array_map(fn (): float => mt_rand(0, 1000) / 10, range(1, 6));
        $two = array_map(fn (): float => mt_rand(0, 1000) / 10, range(1, 6));
        $seldom += Permutation::of($one, $two, $random)->odds < 0.05 ? 1 : 0;
    }
    expect($seldom)->toBeLessThan(8);
});

test('dots, means and middle halves lie in the picture', function (array $groups): void {
    $chart = StripChart::of($groups);
    foreach ($chart->rows as $row) {
        foreach ([...$row['dots'], $row['mean'], $row['from'], $row['to']] as $x) {
            expect($x)->toBeBetween(StripChart::LEFT, StripChart::RIGHT);
        }
        expect($row['from'])->toBeLessThanOrEqual($row['to']);
    }
    expect(count($chart->rows))->toBe(2);
})->with([
    'usual' => [['a' => [1.0, 2.0, 5.0], 'b' => [3.0]]],
    'all the same' => [['a' => [4.0], 'b' => [4.0]]],
    'below zero' => [['a' => [-4.0, -1.0], 'b' => [0.0]]],
]);

test('where nothing that was drawn is as large, the reading itself is the one of all', function (): void {
    $far = Permutation::of(range(1, 40), range(1001, 1040), fn (int $below): int => mt_rand(0, $below - 1));
    expect([$far->isExact, $far->odds])->toBe([false, 1 / 20_001]);
});
