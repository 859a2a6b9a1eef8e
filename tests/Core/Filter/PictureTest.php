<?php

declare(strict_types=1);

use Burrow\Filter\Draw\DayPicture;
use Burrow\Filter\Draw\ShareBar;

// Where bars begin and end.

test('bars of a day stay inside, and are as long as their numbers, above and below', function (): void {
    $hours = [
        ['hour' => 0, 'total' => 100, 'refused' => 50],
        ['hour' => 23, 'total' => 110, 'refused' => 10],
        ['hour' => 7, 'total' => 0, 'refused' => 0],
    ];
    $picture = DayPicture::of($hours);
    expect($picture->bars[1]['up'])
        ->toEqualWithDelta(2 * $picture->bars[0]['up'], 0.2)
        ->and($picture->bars[0]['down'])
        ->toEqualWithDelta(5 * $picture->bars[1]['down'], 0.2)
        ->and($picture->bars[0]['up'])
        ->toBe($picture->bars[0]['down'])
        ->and([$picture->bars[2]['up'], $picture->bars[2]['down']])
        ->toBe([0.0, 0.0]);
    foreach ($picture->bars as $bar) {
        expect($picture->turf - $bar['up'])
            ->toBeGreaterThanOrEqual(0)
            ->and($picture->turf + $bar['down'])
            ->toBeLessThan(DayPicture::HEIGHT - 20)
            ->and($bar['x'] + 18)
            ->toBeLessThan(DayPicture::WIDTH);
    }
});

test(
    'the part that a list adds ends where the sum ends, and what was refused above lies before it',
    function (): void {
        $bar = ShareBar::of(['alone' => 30, 'adds' => 10, 'sum' => 40], 80);
        expect([$bar->again, $bar->againWide, $bar->adds, $bar->addsWide])->toBe([
            2 + 32.5,
            65.0,
            2 + 97.5,
            32.5,
        ]);
        expect(ShareBar::of(['alone' => 5, 'adds' => 0, 'sum' => 40], 40)->addsWide)->toBe(1.0);
    },
);
