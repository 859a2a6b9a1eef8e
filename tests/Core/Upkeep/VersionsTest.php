<?php

declare(strict_types=1);

use Burrow\Upkeep\DebianVersion;

// Debian Policy 5.6.12: the examples of its own text, and the corners that it names.

test('versions come in the order of the policy', function (): void {
    $rising = [
        '1.0~~',
        '1.0~~a',
        '1.0~',
        '1.0~rc1',
        '1.0',
        '1.0-1',
        '1.0-1a',
        '1.0-1.1',
        '1.0a',
        '1.0+b1',
        '1.0.1',
        '1.2',
        '1.10',
        '1:0.1',
    ];
    foreach ($rising as $at => $one) {
        foreach ($rising as $beside => $other) {
            expect([
                $one,
                $other,
                DebianVersion::tryParse($one)->compare(DebianVersion::tryParse($other)) <=> 0,
            ])->toBe([$one, $other, $at <=> $beside]);
        }
    }
    // Zeros at the head of a number do not count, and a revision of zero is none.
    expect(DebianVersion::tryParse('1.01')->compare(DebianVersion::tryParse('1.1')))
        ->toBe(0)
        ->and(DebianVersion::tryParse('1.0-0')->compare(DebianVersion::tryParse('1.0')))
        ->toBe(0);
});

test('an epoch is a number that dpkg can hold', function (string $text, bool $is): void {
    expect(DebianVersion::tryParse($text) !== null)->toBe($is);
})->with([['2147483647:1', true], ['2147483648:1', false], ['a:1', false], [':1', false]]);
