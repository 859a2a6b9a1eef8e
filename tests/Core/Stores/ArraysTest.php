<?php

declare(strict_types=1);

use Burrow\Stores\Arrays\Arrangement;
use Burrow\Stores\Arrays\Level;

// Several disks as one, against the table of md(4) and the error rates of data sheets.

/** @param  list<float>  $terabytes */
function arranged(Level $level, array $terabytes, mixed ...$with): ?Arrangement
{
    return Arrangement::of(
        $level,
        array_map(fn (float $one): int => (int) ($one * 1e12), $terabytes),
        ...$with,
    );
}

test('what is usable, and what larger disks have for nobody', function (
    Level $level,
    array $disks,
    ?float $usable,
    ?float $wasted,
): void {
    $one = arranged($level, $disks);
    expect($one?->usable()->count)
        ->toBe($usable === null ? null : (int) ($usable * 1e12))
        ->and($one?->wasted()->count)
        ->toBe($wasted === null ? null : (int) ($wasted * 1e12));
})->with([
    'each for itself' => [Level::Apart, [4, 4, 8], 16, 0],
    'a mirror of two' => [Level::Mirror, [4, 4], 4, 0],
    'a mirror of unlike ones' => [Level::Mirror, [8, 4], 4, 4],
    'parity of three' => [Level::Parity, [4, 4, 4], 8, 0],
    'parity of unlike ones' => [Level::Parity, [4, 4, 8], 8, 4],
    'parity of two is none' => [Level::Parity, [4, 4], null, null],
    'double parity of four' => [Level::DoubleParity, [4, 4, 4, 4], 8, 0],
    'double parity of three is none' => [Level::DoubleParity, [4, 4, 4], null, null],
    'two mirrors' => [Level::Mirrors, [4, 4, 8, 8], 8, 8],
    'mirrors of five are none' => [Level::Mirrors, [4, 4, 4, 4, 4], null, null],
]);

test('a rebuild: hours and the odds of a sector that cannot be read', function (): void {
    // 4 TB at 150 MB/s are 26 667 s.
    expect(round(arranged(Level::Mirror, [4, 4])?->rebuild()->seconds))
        ->toBe(26667.0)
        // Over one bus of 400 MB/s two read and one written: 12 TB.
        ->and(round(arranged(Level::Parity, [4, 4, 4], bus: 400e6)?->rebuild()->seconds))
        ->toBe(30000.0)
        // 8 TB are 6.4e13 bits: 1 - exp(-0.64).
        ->and(round((float) arranged(Level::Parity, [4, 4, 4])?->risk(), 4))
        ->toBe(0.4727)
        // The often told case of 12 TB at one in 1e14: 61.7 %.
        ->and(round((float) arranged(Level::Parity, [4, 4, 4, 4])?->risk(), 3))
        ->toBe(0.617)
        ->and(arranged(Level::Mirror, [4, 4, 4])?->risk())
        ->toBe(0.0)
        ->and(arranged(Level::DoubleParity, [4, 4, 4, 4])?->risk())
        ->toBe(0.0)
        ->and(
            round(
                (float) arranged(Level::Parity, [4, 4, 4], bitsPerError: 1_000_000_000_000_000)?->risk(),
                4,
            ),
        )
        ->toBe(0.062);
});

test('its working says what it says', function (): void {
    $working = arranged(Level::Parity, [4, 4, 8])?->working();
    expect($working?->result)
        ->toBe('8.0 TB')
        ->and(array_column((array) json_decode((string) json_encode($working), true)['lines'], 'result'))
        ->toContain('4.0 TB', '7.6 TB', '47.3 %');
});

test('how many disks may end before something is lost', function (
    Level $level,
    int $disks,
    int $least,
    int $may,
): void {
    expect([$level->least(), $level->survives($disks)])->toBe([$least, $may]);
})->with([
    [Level::Apart, 3, 1, 0],
    [Level::Mirror, 2, 2, 1],
    [Level::Mirror, 3, 2, 2],
    [Level::Parity, 4, 3, 1],
    [Level::DoubleParity, 5, 4, 2],
    [Level::Mirrors, 6, 4, 1],
]);

test('the working of each arrangement, on one bus and without', function (): void {
    $told = '';
    foreach ([[4.0, 4.0, 4.0, 8.0], [2.0, 3.0], [8.0, 8.0, 10.0, 12.0, 12.0, 12.0]] as $disks) {
        foreach (Level::cases() as $level) {
            foreach ([null, 35e6, 400e6] as $bus) {
                $one = arranged($level, $disks, bus: $bus);
                $told .=
                    $level->value.
                    ' of '.
                    implode(', ', $disks).
                    ' at '.
                    ($bus ?? 'buses of their own').
                    "\n";
                foreach ($one?->working()->lines ?? [] as $line) {
                    $told .= "  {$line->name}: {$line->formula} = {$line->result}\n";
                }
            }
        }
    }
    expect($told)->toBe(onFile(__DIR__.'/arrays.txt', $told));
});
