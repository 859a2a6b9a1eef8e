<?php

declare(strict_types=1);

use Burrow\Filter\Workbench;

// The order of lists, against counting it in the plainest way.

test('what each list adds to those above it equals a count question by question', function (int $seed): void {
    mt_srand($seed);
    $names = array_map(fn (int $i): string => "n{$i}.example", range(1, 60));
    $lists = [];
    for ($i = 0; $i < 6; $i++) {
        $lists["list {$i}"] = array_values(array_filter($names, fn (): bool => mt_rand(0, 3) === 0));
    }
    $times = [];
    $log = ['time,client,name,answer'];
    foreach ($names as $name) {
        $times[$name] = mt_rand(0, 12);
        for ($i = 0; $i < $times[$name]; $i++) {
            $log[] = "2026-11-20T21:00:00Z,172.22.8.20,{$name},answered";
        }
    }
    $told = Workbench::of($lists, ['n7.example'], $log, fn (): bool => true)->told();
    unset($times['n7.example']);
    $left = $lists;
    $refused = [];
    foreach ($told['order'] as $one) {
        $adds = fn (array $list): int => array_sum(
            array_intersect_key($times, array_flip(array_diff($list, $refused))),
        );
        $mine = $adds($left[$one['name']]);
        expect($mine)->toBe(max(array_map($adds, $left)));
        expect($one['adds'])->toEqualWithDelta((100 * $mine) / $told['queries'], 0.1);
        $refused = [...$refused, ...$left[$one['name']]];
        unset($left[$one['name']]);
    }
    expect($left)
        ->toBe([])
        ->and($told['refused'])
        ->toBe((int) array_sum(array_intersect_key($times, array_flip($refused))));
})->with(range(1, 12));

test('a comparison that is told to end says what it read until then', function (): void {
    $log = (function (): Generator {
        yield 'time,client,name,answer';
        for ($i = 0; $i < 100_000; $i++) {
            yield '2026-11-20T21:00:00Z,172.22.8.20,ads.example,answered';
        }
    })();
    $bench = Workbench::of(['one' => ['ads.example']], [], $log, fn (int $at): bool => $at < 40_000);
    expect($bench->told()['queries'])->toBe(39_999);
});

test('a name that was let through lets through what is below it, however it was typed', function (
    string $typed,
): void {
    $log = [
        'time,client,name,answer',
        ...array_map(fn (string $name): string => "2026-11-20T21:00:00Z,172.22.8.20,{$name},answered", [
            'ads.example',
            'Deep.ads.example',
            'other.example',
        ]),
    ];
    $lists = ['one' => ['*.ads.example', 'other.example']];
    expect(Workbench::of($lists, [$typed], $log, fn (): bool => true)->told()['refused'])->toBe(1);
})->with(['ads.example', 'ADS.example', '*.ads.example', '@@ads.example', '.ads.example', '@*.Ads.example']);

test('what is no name lets nothing through', function (): void {
    $log = ['time,client,name,answer', '2026-11-20T21:00:00Z,172.22.8.20,ads.example,answered'];
    $told = Workbench::of(['one' => ['ads.example']], ['a b', '', '*'], $log, fn (): bool => true)->told();
    expect($told['refused'])->toBe(1);
});

test(
    'the smallest set of lists is enough where it refuses ninety-five of a hundred of what all refuse',
    function (int $alone, array $smallest): void {
        $log = ['time,client,name,answer'];
        for ($i = 0; $i < 100; $i++) {
            $name = $i < $alone ? 'ads.example' : 'count.example';
            $log[] = "2026-11-20T21:00:00Z,172.22.8.20,{$name},answered";
        }
        $told = Workbench::of(
            ['one' => ['ads.example'], 'two' => ['count.example']],
            [],
            $log,
            fn (): bool => true,
        )->told();
        expect($told['smallest'])->toBe($smallest);
    },
)->with([[95, ['one']], [94, ['one', 'two']]]);
