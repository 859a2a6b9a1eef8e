<?php

declare(strict_types=1);

use Burrow\Catalogue\Part\WriteTime;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Rate;

// How long a card takes, by hand: 2 GB unpacked at 50 MB/s, written at 20, read back at 40.

test('unpacking, writing and reading back add up, and the working says with which rates', function (
    bool $measured,
): void {
    $time = new WriteTime(
        Bytes::giga(2),
        Rate::megabytesPerSecond(20),
        Rate::megabytesPerSecond(40),
        $measured,
    );
    $lines = $time->working(Bytes::giga(32))->lines;
    expect($time->time()->seconds)
        ->toBe(40.0 + 100.0 + 50.0)
        ->and($time->capacityTest(Bytes::giga(32))->seconds)
        ->toBe(1600.0 + 800.0)
        ->and(array_column($lines, 'name'))
        ->toBe(['unpacking', 'writing', 'reading back', 'full-capacity test'])
        ->and($lines[1]->source)
        ->toBe($measured ? 'measured before' : 'catalogue');
    expect(array_column($time->working(null)->lines, 'name'))->not->toContain('full-capacity test');
})->with([false, true]);
