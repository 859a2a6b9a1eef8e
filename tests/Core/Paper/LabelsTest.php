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

test('labels stand in rows from the upper left, their words in the middle', function (): void {
    $sheet = [null, ['sieve', '172.22.8.10'], null, ['wren', '']];
    $placed = Labels::placed($sheet, LabelSize::Large);
    // 210 mm less two columns of 99.1, half on each side; 297 less five rows of 57.
    expect(array_column($placed, 'name'))
        ->toBe(['sieve', 'wren'])
        ->and(array_map(fn (array $one): array => [$one['x'], $one['y']], $placed))
        ->toBe([[5.9 + 99.1, 6.0], [5.9 + 99.1, 6.0 + 57.0]])
        ->and($placed[0]['text'])
        ->toBe(5.9 + 99.1 + 3)
        ->and($placed[0]['nameY'])
        ->toBe(6.0 + 28.5 - 0.5)
        ->and($placed[0]['lineY'])
        ->toBe(6.0 + 28.5 + 4.5)
        ->and($placed[0]['nameSize'])
        ->toBe(7.0)
        ->and($placed[0]['lineSize'])
        ->toBe(3.4)
        ->and([LabelSize::Small->perSheet(), LabelSize::Middle->perSheet(), LabelSize::Large->perSheet()])
        ->toBe([65, 24, 10]);
});

test('long words get smaller and stay on their label', function (LabelSize $size): void {
    $name = str_repeat('n', 40);
    [$placed] = Labels::placed([[$name, str_repeat('m', 90)]], $size);
    $wide = $size->width() - 6;
    // A letter is common practice's 0.6 of its height wide.
    expect($placed['nameSize'] * 0.6 * 40)
        ->toBeLessThanOrEqual($wide + 0.5)
        ->toBeGreaterThan($wide * 0.9)
        ->and($placed['lineSize'] * 0.6 * 90)
        ->toBeLessThanOrEqual($wide * 1.03)
        ->toBeGreaterThan($wide * 0.9);
})->with(LabelSize::cases());

test('a sheet is begun at the label that is said, at most at its last', function (int $skip, int $first): void {
    $sheets = Labels::sheets([['a', ''], ['b', '']], LabelSize::Large, $skip);
    expect(array_search(['a', ''], $sheets[0], true))->toBe($first);
})->with([[-3, 0], [0, 0], [8, 8], [9, 9], [10, 9]]);
