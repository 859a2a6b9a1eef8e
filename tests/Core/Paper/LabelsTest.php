<?php

declare(strict_types=1);

use Burrow\Net\Ipv4;
use Burrow\Paper\Labels;
use Burrow\Paper\LabelSize;

// Labels on sheets.

test('every label lies on its sheet, and no two on each other', function (LabelSize $size): void {
    expect($size->left())
        ->toBeGreaterThanOrEqual(0)
        ->and($size->top())
        ->toBeGreaterThanOrEqual(0)
        ->and($size->left() + $size->columns() * $size->width())
        ->toBeLessThanOrEqual(210.01)
        ->and($size->top() + $size->rows() * $size->height())
        ->toBeLessThanOrEqual(297.01);
})->with(LabelSize::cases());

test('a sheet that was begun goes on where it ended', function (): void {
    $size = LabelSize::Large;
    $sheets = Labels::sheets(range(1, 12), $size, 3);
    expect(array_slice($sheets[0], 0, 4))
        ->toBe([null, null, null, 1])
        ->and($sheets)
        ->toHaveCount(2)
        ->and(array_values(array_filter(array_merge(...$sheets))))
        ->toBe(range(1, 12))
        ->and(Labels::sheets([], $size, 3))
        ->toBe([])
        ->and(Labels::sheets([1], $size, 99)[0])
        ->toHaveCount(10);
});

test('boxes, their supplies and cards have theirs', function (): void {
    $sieve = dweller('sieve', job: 'dns-filter', address: Ipv4::parse('172.22.8.10'), fedBy: 'the strip');
    expect(Labels::of(household([$sieve, dweller('wren')]), ['SPARE-2' => 'spare']))->toBe([
        ['sieve', '172.22.8.10 · names'],
        ['wren', ''],
        ['power of sieve', 'the strip'],
        ['power of wren', 'do not unplug'],
        ['SPARE-2', 'spare'],
    ]);
});
