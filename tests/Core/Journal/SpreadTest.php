<?php

declare(strict_types=1);

use Burrow\Journal\Compare\Spread;

// How readings lie, against another program.

test('least, middle and most are those of Python, in any order', function (int $seed): void {
    mt_srand($seed);
    for ($round = 0; $round < 15; $round++) {
        $values = array_map(fn (): float => mt_rand(-5000, 5000) / 8, range(1, mt_rand(1, 30)));
        $theirs = json_decode(
            run(
                "python3 -c 'import statistics,json;v=".
                    json_encode($values).
                    ";print(json.dumps([len(v),min(v),statistics.median(v),max(v)]))'",
            )['out'],
            true,
        );
        $ours = Spread::of($values);
        expect([$ours->count, $ours->least, $ours->middle, $ours->most])->toEqualWithDelta($theirs, 1e-9);
    }
})->with([1, 2]);

test('no reading has no spread, and no size no percent', function (): void {
    expect(fn () => Spread::of([]))->toThrow(InvalidArgumentException::class);
    expect([
        Spread::percent(25, 100),
        Spread::percent(0, 1),
        Spread::percent(1, 0),
        Spread::percent(2, 1),
        Spread::percent(-1, 1),
    ])->toBe([25.0, 0.0, null, null, null]);
});

test('a share is one of a size, none of it and all of it too', function (
    int $used,
    int $size,
    ?float $percent,
): void {
    expect(Spread::percent($used, $size))->toBe($percent);
})->with([[0, 5, 0.0], [5, 5, 100.0], [6, 5, null], [-1, 5, null], [0, 0, null], [1, 4, 25.0]]);
