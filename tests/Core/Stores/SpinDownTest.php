<?php

declare(strict_types=1);

use Burrow\Judgement\Line;
use Burrow\Stores\Rest\SpinDown;

// A disk that stops between uses, against a disk that is played out second by second.

/**
 * Asked at random over many days: starts and hours of standing a day.
 *
 * @return array{float, float}
 */
function playedOut(float $asked, float $wait, int $days): array
{
    $starts = $stands = 0.0;
    $rate = $asked / 1440;
    for ($now = 0.0, $end = $days * 1440.0; $now < $end; $now += $gap) {
        $gap = -log(1 - mt_rand() / (mt_getrandmax() + 1)) / $rate;
        if ($gap > $wait) {
            $stands += $gap - $wait;
            $starts++;
        }
    }

    return [$starts / $days, $stands / $days / 60];
}

test('starts and rest are those of a disk that is played out', function (float $asked, float $wait): void {
    mt_srand(17);
    [$starts, $hours] = playedOut($asked, $wait, 4000);
    $disk = new SpinDown($asked, $wait, 50_000, 5, 0.6);
    expect($disk->startsADay())
        ->toEqualWithDelta($starts, max(0.05, $starts * 0.03))
        ->and($disk->hoursADay())
        ->toEqualWithDelta($hours, max(0.05, $hours * 0.03));
})->with([[2, 20], [40, 5], [40, 20], [40, 60], [300, 10], [1000, 1]]);

test(
    'saved is the energy of a day turning, less that of the day with its rests and starts',
    function (): void {
        $disk = new SpinDown(40, 20, 50_000, 5, 0.6);
        $turns = 24 - $disk->hoursADay();
        $with = 5 * $turns + 0.6 * $disk->hoursADay() + ($disk->startsADay() * 80) / 3600;
        expect($disk->saved())
            ->toEqualWithDelta(24 * 5 - $with, 1e-9)
            ->and((new SpinDown(0, 20, 50_000, 5, 0.6))->years())
            ->toBeNull()
            ->and((new SpinDown(0, 20, 50_000, 5, 0.6))->hoursADay())
            ->toBe(24.0);
    },
);

test('a wait is told in the numbers of hdparm, and never made shorter', function (
    float $minutes,
    int $setting,
): void {
    expect((new SpinDown(10, $minutes, 50_000, 5, 1))->setting())->toBe($setting);
})->with([
    'a second' => [1 / 60, 1],
    'five minutes' => [5, 60],
    'a little more' => [5.01, 61],
    'twenty minutes' => [20, 240],
    'a little more than that' => [20.1, 241],
    'half an hour' => [30, 241],
    'an hour' => [60, 242],
    'five and a half hours' => [330, 251],
    'a day' => [1440, 251],
]);

test('what wears it out sooner than it is wanted is told, and what saves nothing', function (): void {
    $code = fn (SpinDown $disk, float $years = 5): string => $disk->verdict($years)->code;
    // 40 questions a day, stopped after 5 min: 35 starts a day, 50 000 in 3.9 years.
    expect($code(new SpinDown(2000, 5, 50_000, 5, 0.6)))
        ->toBe('stores.rest_saves_nothing')
        ->and($code(new SpinDown(40, 5, 50_000, 5, 0.6)))
        ->toBe('stores.rest_wears')
        ->and($code(new SpinDown(40, 5, 50_000, 5, 0.6), 3.5))
        ->toBe('stores.rest_pays')
        ->and($code(new SpinDown(40, 5, 600_000, 5, 0.6)))
        ->toBe('stores.rest_pays')
        ->and($code(new SpinDown(40, 5, 600_000, 0.6, 0.6)))
        ->toBe('stores.rest_saves_nothing');
});

test('the working has the numbers that the verdict goes by', function (): void {
    $lines = fn (SpinDown $of): array => array_map(
        fn (Line $one): array => [$one->formula, $one->result],
        $of->working()->lines,
    );
    // e^(−40 ÷ 1440 × 20) is 0.5738; of 40 gaps a day 22.95 are longer; 13.77 h of 4.4 W less 22.95 × 80 W s.
    expect($lines(new SpinDown(40, 20, 50_000, 5, 0.6)))
        ->toBe([
            ['e^(−40 a day ÷ 1440 × 20 min)', '57 %'],
            ['asked × those gaps', '23 a day'],
            ['24 h × those gaps', '14 h a day'],
            ['(5 W − 0.6 W) × rest − starts × 80 W s', '60 Wh a day'],
            ['50000 ÷ starts', '5.96 years'],
        ])
        ->and($lines(new SpinDown(0, 90, 50_000, 5, 0.6))[4])
        ->toBe(['50000 ÷ starts', 'for ever'])
        ->and((new SpinDown(0, 90, 50_000, 5, 0.6))->working()->title)
        ->toBe('After 1.5 h')
        ->and((new SpinDown(0, 59, 50_000, 5, 0.6))->working()->title)
        ->toBe('After 59 min');
});

test('a wait is set in steps of five seconds, then of half an hour, and never shorter', function (
    float $wait,
    int $setting,
): void {
    expect((new SpinDown(40, $wait, 50_000, 5, 0.6))->setting())->toBe($setting);
})->with([
    [0.01, 1],
    [5, 60],
    [20, 240],
    [20.5, 241],
    [30, 241],
    [31, 242],
    [60, 242],
    [330, 251],
    [600, 251],
]);

test('resting pays from a tenth of what turning takes', function (): void {
    $code = fn (float $resting): string => (new SpinDown(2, 20, 50_000, 5, $resting))->verdict(1)->code;
    expect([$code(0.6), $code(4.9)])->toBe(['stores.rest_pays', 'stores.rest_saves_nothing']);
});

test('a wait is told in minutes below an hour', function (float $wait, string $words): void {
    expect((new SpinDown(40, $wait, 50_000, 5, 0.6))->words())->toBe($words);
})->with([[59.5, '60 min'], [60, '1 h'], [90, '1.5 h'], [9.5, '9.5 min']]);
