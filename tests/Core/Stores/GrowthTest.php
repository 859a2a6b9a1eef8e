<?php

declare(strict_types=1);

use Burrow\Judgement\Line;
use Burrow\Stores\Draw\GrowthPicture;
use Burrow\Stores\Grow\Growth;

// What comes by itself.

test('bytes a day, as one works them out on paper', function (
    Growth $growth,
    float $perDay,
    float $held,
): void {
    expect($growth->perDay)
        ->toEqualWithDelta($perDay, 0.5)
        ->and($growth->held())
        ->toEqualWithDelta($held, 0.5);
})->with([
    // 14 h are 50 400 s, 1 680 pictures of 3 MB
    'a picture each 30 s by day' => [fn () => Growth::timeLapse(3, 30, 14, 10), 5.04e9, 50.4e9],
    // 2 Mbit/s are 250 kB/s, six hours are 21 600 s
    'six hours of a small camera' => [fn () => Growth::recording(2, 6, 30), 5.4e9, 162e9],
    'forty thousand questions' => [fn () => Growth::queryLog(40_000, 110, 14), 4.4e6, 61.6e6],
    'two gigabytes a day' => [fn () => Growth::snapshots(2, 30), 2e9, 60e9],
    'nothing' => [fn () => Growth::recording(0, 24, 30), 0.0, 0.0],
]);

test('the day on which the disk is full is the one that counting day by day finds', function (): void {
    mt_srand(14);
    for ($try = 0; $try < 200; $try++) {
        $all = [
            Growth::timeLapse(mt_rand(1, 8), mt_rand(5, 120), mt_rand(1, 24), mt_rand(1, 200)),
            Growth::recording(mt_rand(0, 8), mt_rand(0, 24), mt_rand(1, 200)),
            Growth::snapshots(mt_rand(0, 20), mt_rand(1, 200)),
        ];
        $room = mt_rand(10, 4000) * 1e9;
        $counted = null;
        for ($hour = 0; $hour <= 200 * 24 && $counted === null; $hour++) {
            $lies = 0.0;
            foreach ($all as $one) {
                $lies += $one->perDay * min($hour / 24, $one->days);
            }
            $lies > $room && ($counted = $hour / 24);
        }
        $said = Growth::fullAfter($all, $room);
        $counted === null
            ? expect($said)->toBeNull()
            : expect($said)
                ->toBeLessThanOrEqual($counted)
                ->toBeGreaterThan($counted - 1 / 24 - 1e-9);
    }
});

test('layers lie on each other and stay in the picture, names a line apart', function (): void {
    $all = [Growth::timeLapse(3, 30, 14, 90), Growth::recording(2, 6, 30), Growth::queryLog(4e4, 110, 14)];
    $picture = GrowthPicture::of($all, 100e9);
    expect($picture->layers)->toHaveCount(3)->and($picture->full)->not->toBeNull();
    foreach ($picture->layers as $i => $layer) {
        preg_match_all('/([\d.]+) ([\d.]+)/', $layer['path'], $points, PREG_SET_ORDER);
        foreach ($points as [, $x, $y]) {
            expect((float) $x)
                ->toBeBetween(GrowthPicture::LEFT, GrowthPicture::RIGHT)
                ->and((float) $y)
                ->toBeBetween(GrowthPicture::TOP, GrowthPicture::BOTTOM);
        }
        $i > 0 && expect($picture->layers[$i - 1]['label'] - $layer['label'])->toBeGreaterThanOrEqual(15.9);
    }
    expect(GrowthPicture::of([Growth::recording(0, 0, 1)], 1e9)->layers)->toBe([]);
});

test('the working has what comes of a day and what is held in the end', function (): void {
    $growth = Growth::recording(2, 6, 30);
    expect(array_map(fn (Line $one): array => [$one->name, $one->result], $growth->working()->lines))
        ->toBe([['a day', '5.4 GB'], ['held in the end', '162 GB']])
        ->and($growth->working()->lines[1]->formula)
        ->toBe('5.4 GB × 30 days')
        ->and($growth->daysIn(54e9))
        ->toEqualWithDelta(10.0, 1e-9)
        ->and(Growth::recording(0, 24, 30)->daysIn(54e9))
        ->toBeNull();
});

test('only what may be changed over and over is an upper bound', function (): void {
    expect([Growth::snapshots(2, 7)->isUpperBound, Growth::queryLog(100, 80, 7)->isUpperBound])->toBe([
        true,
        false,
    ]);
});

test('what just fits never fills the room', function (float $room, bool $fills): void {
    expect(Growth::fullAfter([Growth::queryLog(100, 100, 10)], $room) !== null)->toBe($fills);
})->with([[100_000, false], [99_999, true]]);
