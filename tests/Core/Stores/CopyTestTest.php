<?php

declare(strict_types=1);

use Burrow\Stores\CopyTest\Watched;
use Burrow\Stores\CopyTest\WatchScript;

// A copy as the box watched it.

/** @param  list<int|float>  $megabytes  of each second */
function watchedLines(array $megabytes, string $busy = '10,20'): string
{
    return implode(
        "\n",
        array_map(
            fn (int|float $one): string => 'watched net='.(int) ($one * 1e6)." disk=0 busy={$busy}",
            $megabytes,
        ),
    );
}

test('before and after do not count, and neither do the first seconds', function (): void {
    $seen = Watched::of(watchedLines([0, 0, 110, 108, 90, 40, 41, 40, 39, 40, 2, 40, 41, 40, 40, 0, 0]));
    expect($seen?->rate)
        ->toBe(40e6)
        ->and($seen?->lowest)
        ->toBe(2e6)
        ->and([$seen?->stalls, $seen?->seconds, $seen?->cores])
        ->toBe([1, 10, 2])
        ->and([$seen?->busiest, $seen?->idle])
        ->toBe([20.0, 85.0]);
});

test('one full core of four is seen though three quarters are idle', function (): void {
    $seen = Watched::of(watchedLines(array_fill(0, 20, 30), '100,2,3,1'));
    expect($seen?->oneCoreIsFull())
        ->toBeTrue()
        ->and($seen?->words())
        ->toBe('30.0 MB/s settled, 30.0 at the lowest, over 17 s; the busiest of 4 cores 100 %, 74 % idle');
});

test('a rate is told in megabytes with two digits, kept as it is', function (): void {
    $seen = Watched::of(watchedLines(array_fill(0, 20, 41.23678)));
    expect([$seen?->rate, $seen?->megabytes()])->toBe([41_236_780.0, 41.24]);
});

test('what is no copy is none', function (string $text): void {
    expect(Watched::of($text))->toBeNull();
})->with([
    'nothing' => [''],
    'words' => ['a kettle'],
    'nothing was copied' => [fn () => watchedLines(array_fill(0, 30, 0.01))],
    'too short' => [fn () => watchedLines([0, 100, 100, 100, 100, 100, 0])],
    'numbers beyond all' => ['watched net=99999999999999999999 disk=0 busy=1'],
]);

test('the script runs on this machine under three shells, and what it prints is read', function (
    string $shell,
): void {
    $file = scratch().'/watch.sh';
    file_put_contents($file, WatchScript::text());
    $checked = run("shellcheck --shell=sh {$file}");
    expect([$checked['exit'], $checked['all']])->toBe([0, '']);
    $said = run("{$shell} {$file} 2");
    expect($said['exit'])
        ->toBe(0)
        ->and($said['err'])
        ->toBe('')
        ->and(preg_match_all('/^watched net=\d+ disk=\d+ busy=\d+(?:,\d+)*$/m', $said['out'], $lines))
        ->toBe(2);
    $cores = substr_count((string) file_get_contents('/proc/stat'), "\ncpu");
    expect(substr_count($lines[0][0], ',') + 1)->toBe($cores);
})->with(['dash', 'bash', 'busybox sh']);

test('eight seconds that count are enough, and what comes after is not of the copy', function (): void {
    $seen = Watched::of(watchedLines(array_fill(0, 11, 30))."\n".watchedLines([0, 0], '100,100'));
    expect([$seen?->seconds, $seen?->busiest, $seen?->idle])
        ->toBe([8, 20.0, 85.0])
        ->and(Watched::of(watchedLines(array_fill(0, 10, 30))))
        ->toBeNull();
});

test('a core is full from ninety of a hundred on', function (int $percent, bool $full): void {
    $seen = Watched::of(watchedLines(array_fill(0, 20, 30), "{$percent},2"));
    expect($seen?->oneCoreIsFull())->toBe($full);
})->with([[89, false], [90, true]]);
