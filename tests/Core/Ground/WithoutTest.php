<?php

declare(strict_types=1);

use Burrow\Ground\Without;

// What if some boxes were off.

test('who loses what goes on through the house, each told once and at its nearest reason', function (): void {
    $house = household(
        boxes: array_map(dweller(...), ['larder', 'lantern', 'reading-desk', 'sieve', 'dewpoint']),
        dependsOn: [
            'lantern' => ['larder'],
            'reading-desk' => ['lantern', 'larder'],
            'dewpoint' => ['reading-desk'],
        ],
    );
    $without = Without::of($house, ['larder', 'nobody']);
    expect($without->off)
        ->toBe(['larder'])
        ->and(array_map(fn (array $one): array => [$one['box'], $one['on'], $one['far']], $without->lose))
        ->toBe([['lantern', 'larder', 1], ['reading-desk', 'larder', 1], ['dewpoint', 'reading-desk', 2]])
        ->and($without->works)
        ->toBe(['sieve'])
        ->and($without->sentence())
        ->toBe('3 boxes cannot do their work; one goes on.');
    expect(Without::of($house, ['sieve'])->sentence())
        ->toBe('Nobody else would notice.')
        ->and(Without::of($house, [])->sentence())
        ->toBe('Nothing is taken out yet.');
});

test('what the house loses is lost only with the last one that does it', function (): void {
    $house = household(
        boxes: [
            dweller('sieve', job: 'dns-filter'),
            dweller('sieve-2', job: 'dns-filter'),
            dweller('larder', job: 'file-store'),
        ],
    );
    expect(Without::of($house, ['sieve'])->house)
        ->toBe([])
        ->and(Without::of($house, ['sieve'])->stays[0]['by'])
        ->toBe('sieve-2')
        ->and(Without::of($house, ['sieve', 'sieve-2'])->house)
        ->toHaveCount(1)
        ->and(Without::of($house, ['sieve', 'sieve-2'])->sentence())
        ->toStartWith('The whole house loses');
});

test('a way in leads nowhere with its own box alone', function (): void {
    $house = household(
        boxes: [dweller('culvert'), dweller('larder')],
        openings: ['culvert' => ['51944 udp']],
    );
    expect(Without::of($house, ['culvert'])->ways)
        ->toBe([['way' => '51944 udp', 'box' => 'culvert']])
        ->and(Without::of($house, ['larder'])->ways)
        ->toBe([]);
});

test('what did not answer before goes on no more than it did', function (): void {
    $house = household(
        boxes: [
            dweller('larder'),
            dweller('seedpress', hearing: heard('2026-11-25 12:00')),
            dweller('sieve'),
        ],
    );
    $without = Without::of($house, ['larder']);
    expect([$without->works, $without->silent])->toBe([['sieve'], ['seedpress']]);
});

test('circles end, and whoever is reached is whoever a plain walk reaches', function (int $seed): void {
    mt_srand($seed);
    $names = array_map(fn (int $at): string => "b{$at}", range(0, 11));
    $dependsOn = [];
    foreach ($names as $name) {
        foreach (range(1, mt_rand(0, 2)) as $_) {
            $dependsOn[$name][] = $names[mt_rand(0, 11)];
        }
    }
    $off = array_values(array_unique([$names[mt_rand(0, 11)], $names[mt_rand(0, 11)]]));
    $without = Without::of(household(boxes: array_map(dweller(...), $names), dependsOn: $dependsOn), $off);
    // By another way: from each box along what it needs, to anything that is off.
    $reaches = function (string $from, array $seen = []) use (&$reaches, $dependsOn, $off): bool {
        foreach ($dependsOn[$from] ?? [] as $on) {
            if (
                in_array($on, $off, true) ||
                (! in_array($on, $seen, true) && $reaches($on, [...$seen, $from, $on]))
            ) {
                return true;
            }
        }

        return false;
    };
    $expected = array_values(
        array_filter($names, fn (string $name): bool => ! in_array($name, $off, true) && $reaches($name)),
    );
    $told = array_values(array_unique(array_column($without->lose, 'box')));
    sort($told);
    sort($expected);
    expect($told)->toBe($expected);
    expect(count($without->works) + count($expected) + count($off))->toBe(12);
})->with(range(1, 12));
