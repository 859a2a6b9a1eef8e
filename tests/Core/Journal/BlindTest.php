<?php

declare(strict_types=1);

use Burrow\Journal\Compare\Blind;

// Listening blind: how often somebody was right, and how often chance is.

test(
    'the odds are those of another program, for every number of trials and of right ones',
    function (): void {
        $theirs = json_decode(
            run(
                "python3 -c 'import json,math;print(json.dumps([[sum(math.comb(n,i) for i in range(k,n+1))/2**n for k in range(n+1)] for n in range(41)]))'",
            )['out'],
            true,
        );
        for ($trials = 0; $trials <= 40; $trials++) {
            for ($right = 0; $right <= $trials; $right++) {
                expect(Blind::odds($trials, $right))->toEqualWithDelta(
                    (float) $theirs[$trials][$right],
                    1e-12,
                );
            }
        }
    },
);

test('the table of the page is the published one', function (): void {
    // 5 of 100, one-sided: the critical values that tables of the sign test give (Dixon and Mood 1946).
    expect(array_map(Blind::needed(...), [5, 6, 7, 8, 9, 10, 12, 16, 20, 25, 30]))
        ->toBe([5, 6, 7, 7, 8, 9, 10, 12, 15, 18, 20])
        ->and(Blind::needed(4))
        ->toBeNull();
});

test('what was heard is read as people write it, and judged in words', function (): void {
    $blind = Blind::played('ABBABAABAB');
    expect($blind->heard(" abba, b.a-a\nbab "))
        ->toBe('ABBABAABAB')
        ->and($blind->heard('ABBA'))
        ->toBeNull()
        ->and($blind->heard('ABBABAABAC'))
        ->toBeNull()
        ->and($blind->right('ABBABAABAB'))
        ->toBe(10)
        ->and($blind->right('BAABABBABA'))
        ->toBe(0)
        ->and($blind->sentence('ABBABAABAB'))
        ->toContain('10 of 10 right')
        ->toContain('once in 1024 tries')
        ->toContain('hardly by chance')
        ->and($blind->sentence('ABBABAABAA'))
        ->toContain('probably heard')
        ->not->toContain('hardly by chance')
        ->and($blind->sentence('ABBABAABBA'))
        ->toContain('8 of 10')
        ->toContain('shows no difference');
});

test('fewer, more or other letters are no list', function (string $played): void {
    expect(fn () => Blind::played($played))->toThrow(InvalidArgumentException::class);
})->with(['', 'ABAB', str_repeat('A', 41), 'ABXAB', "ABABA\n"]);
