<?php

declare(strict_types=1);

use Burrow\Judgement\Finding;

// network-config held against netplan's own library: thousands of files, each wrong in one place.

/** @return list<array{text: string, refused: ?int}> the line that netplan names, null where it takes the file */
function mutatedNetworks(int $seed, int $count): array
{
    return json_decode(run("/usr/bin/python3 tests/Outside/readers/netplan.py {$seed} {$count}")['out'], true);
}

test(
    'what netplan refuses, the linter stops, at that line; what netplan takes, it does not call refused',
    function (): void {
        $cases = mutatedNetworks(2601, 1500);
        $refused = $near = 0;
        $missed = $wronged = [];
        foreach ($cases as $case) {
            $stops = stopsIn(['network-config' => $case['text']], 'network-config');
            if ($case['refused'] === null) {
                $called = array_filter($stops, fn (Finding $one): bool => $one->code === 'card.netplan_refuses');
                $wronged = $called === [] ? $wronged : [...$wronged, $case['text']];

                continue;
            }
            $refused++;
            $missed = $stops === [] ? [...$missed, $case['text']] : $missed;
            $near += isBeside($case['refused'], $stops) ? 1 : 0;
        }
        expect($refused)
            ->toBeGreaterThan(1000)
            ->and($wronged)
            ->toBe([])
            // Two in a thousand are odd beyond what a person writes: a list as a key, a word of another section as a
            // link's name.
            ->and(count($missed))
            ->toBeLessThanOrEqual((int) ceil($refused * 0.005))
            ->and($near / $refused)
            ->toBeGreaterThan(0.97);
    },
);

test('what is on record as netplan\'s answers it says today', function (): void {
    $record = told('netplan');
    expect(array_slice(mutatedNetworks(2602, 500), 0, count($record)))->toBe($record);
});
