<?php

declare(strict_types=1);

use Burrow\Household\Fill;
use Burrow\Stores\FillFile;
use Burrow\Stores\FillForecast;
use Burrow\Stores\FillSample;
use Burrow\Stores\StoresConcern;

const DISK = 500_000_000_000;

const BEGINS = 1_764_000_000;

/**
 * A series whose truth is known.
 *
 * @return array{list<FillSample>, callable(float): float, int} samples, bytes at a day, days
 */
function grows(string $kind, int $seed): array
{
    mt_srand($seed);
    $normal = fn (): float => sqrt(-2 * log(mt_rand(1, 1_000_000_000) / 1e9)) *
        cos((2 * M_PI * mt_rand()) / mt_getrandmax());
    $days = mt_rand(60, 365);
    $from = (mt_rand(5, 40) / 100) * DISK;
    $slope = ((mt_rand(45, 75) / 100) * DISK - $from) / $days;
    $noise = (mt_rand(5, 60) / 10000) * DISK;
    $wave = $kind === 'seasons' ? (mt_rand(5, 20) / 1000) * DISK : 0;
    $period = [7, 30][mt_rand(0, 1)];
    $on = mt_rand((int) ($days * 0.2), (int) ($days * 0.8));
    $step = ['a jump' => 1, 'a clean-up' => -1][$kind] ?? 0;
    $step *= (mt_rand(30, 90) / 1000) * DISK;
    $truth = fn (float $day): float => $from +
        $slope * $day +
        $wave * sin((2 * M_PI * $day) / $period) +
        ($day >= $on ? $step : 0);
    $samples = [];
    for ($day = 0; $day <= $days; $day++) {
        $samples[] = new FillSample(BEGINS + $day * 86400, (int) max(0, $truth($day) + $noise * $normal()));
    }

    return [$samples, $truth, $days];
}

test('the true date lies within the spread that is stated, nine times in ten', function (string $kind): void {
    $within = 0;
    $widths = [];
    for ($seed = 1; $seed <= 125; $seed++) {
        [$samples, $truth, $days] = grows($kind, $seed);
        for ($day = (float) $days; $truth($day) < 0.85 * DISK && $day < 20_000; $day += 0.25);
        $said = FillForecast::of(DISK, $samples)->reaches(0.85);
        $at = BEGINS + $day * 86400;
        $within +=
            ($said['from'] === null || $said['from'] <= $at + 43200) &&
            ($said['to'] === null || $said['to'] >= $at - 43200)
                ? 1
                : 0;
        $said['to'] === null ||
            ($widths[] = ($said['to'] - $said['from']) / max(86400, $at - BEGINS - $days * 86400));
    }
    sort($widths);
    expect($within / 125)
        ->toBeGreaterThanOrEqual(0.9)
        // A spread that holds everything would say nothing.
        ->and($widths[intdiv(count($widths), 2)])
        ->toBeLessThan(0.6);
})->with(['a trend', 'seasons', 'a jump', 'a clean-up']);

/**
 * Series of every kind that a disk may have, from one process that goes on behind the last sample.
 *
 * @return array{list<FillSample>, float, ?int} samples, the share that is waited for, the day on which it is reached
 */
function fills(string $kind, int $seed): array
{
    mt_srand($seed);
    $chance = fn (float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
    $normal = fn (): float => sqrt(-2 * log(mt_rand(1, 1_000_000_000) / 1e9)) *
        cos((2 * M_PI * mt_rand()) / mt_getrandmax());
    $rate = DISK * $chance(0.0003, 0.0028);
    $days = mt_rand(70, 200);
    $on = mt_rand((int) ($days * 0.2), (int) ($days * 0.8));
    [$week, $month, $prunes] = [mt_rand(0, 6), mt_rand(0, 29), mt_rand(10, 25)];
    $gap = mt_rand(10, $days - 20);
    $level = DISK * 0.3;
    $walk = 0.0;
    $used = [];
    for ($day = 0; $day < $days + 4000; $day++) {
        $grown = $level + $rate * $day;
        $walk = match ($kind) {
            'AR(1)' => 0.9 * $walk + $normal() * DISK * 0.003,
            'a random walk' => $walk + $normal() * DISK * 0.004,
            'weekly lumps' => $walk + ($day % 7 === $week ? $rate * 7 * $chance(0.8, 1.2) : 0),
            'monthly lumps' => $walk + ($day % 30 === $month ? $rate * 30 * $chance(0.8, 1.2) : 0),
            'saw-tooth' => $walk + 4 * $rate - ($day % $prunes === 0 ? 3 * $prunes * $rate : 0),
            default => 0.0,
        };
        $used[$day] = match ($kind) {
            'one step' => $grown + ($day >= $on ? 0.12 * DISK : 0) + $normal() * DISK * 0.001,
            'one deletion' => $grown - ($day >= $on ? 0.12 * DISK : 0) + $normal() * DISK * 0.001,
            'a weekly wave' => $grown + 0.01 * DISK * sin((2 * M_PI * $day) / 7) + $normal() * DISK * 0.001,
            'weekly lumps', 'monthly lumps', 'saw-tooth' => $level + $walk + $normal() * DISK * 0.0003,
            default => $grown + $walk + ($walk === 0.0 ? $normal() * DISK * 0.002 : 0),
        };
    }
    $samples = [];
    for ($day = 0; $day < $days; $day++) {
        if ($kind === 'gaps' && $day < $days - 1 && (($day > $gap && $day < $gap + 15) || mt_rand(0, 5) === 0)) {
            continue;
        }
        $isOdd = $kind === 'outliers' && $day < $days - 1 && mt_rand(0, 19) === 0;
        $odd = $isOdd ? 0.1 * DISK * (2 * mt_rand(0, 1) - 1) : 0;
        $samples[] = new FillSample(BEGINS + $day * 86400, (int) max(0, min(DISK, $used[$day] + $odd)));
    }
    $share = max(0.85, $used[$days - 1] / DISK + 0.1);
    for ($day = $days; isset($used[$day]) && $used[$day] < $share * DISK; $day++);

    return [$samples, $share, isset($used[$day]) ? $day : null];
}

test('the day lies within the stated range for every way in which a disk fills', function (string $kind): void {
    $within = 0;
    for ($seed = 1; $seed <= 100; $seed++) {
        [$samples, $share, $day] = fills($kind, $seed);
        $said = FillForecast::of(DISK, $samples)->reaches($share);
        $at = $day === null ? PHP_INT_MAX : BEGINS + $day * 86400;
        $within +=
            ($said['from'] ?? PHP_INT_MAX) <= $at + 86400 && ($said['to'] ?? PHP_INT_MAX) >= $at - 86400 ? 1 : 0;
    }
    expect($within)->toBeGreaterThanOrEqual(85);
})->with([
    'a line',
    'AR(1)',
    'a random walk',
    'one step',
    'one deletion',
    'outliers',
    'a weekly wave',
    'gaps',
    'weekly lumps',
    'monthly lumps',
    'saw-tooth',
]);

test('30 GB a week on a terabyte is full in weeks, and said at the door when it is days', function (): void {
    $weekly = fn (int $weeks, int $from): array => array_map(
        fn (int $day): FillSample => new FillSample(
            BEGINS + $day * 86400,
            $from + intdiv($day, 7) * 30_000_000_000 + ($day % 3) * 1_000_000,
        ),
        range(0, 7 * $weeks),
    );
    $said = FillForecast::of(1_000_000_000_000, $weekly(12, 300_000_000_000))->reaches(0.85);
    $ahead = ($said['at'] - (BEGINS + 84 * 86400)) / 86400 / 7;
    expect($ahead)->toBeBetween(5, 8);
    $text = fn (int $used): string => (string) json_encode([
        'bytes' => 1_000_000_000_000,
        'samples' => array_map(
            fn (int $day): array => ['at' => BEGINS + $day * 86400, 'used_bytes' => $used + $day * 4_000_000_000],
            range(0, 30),
        ),
    ]);
    $schema = (string) file_get_contents('core/Stores/schema/fill.schema.json');
    [, $findings] = FillFile::read($text(706_000_000_000), $schema, 'x');
    expect($findings->codes())
        ->toBe(['stores.full_in_days'])
        ->and($findings->list[0]->found)
        ->toContain('in 6 days');
    [, $findings] = FillFile::read($text(100_000_000_000), $schema, 'x');
    expect($findings->codes())->toBe([]);
});

test('a gap in the samples is no step, and an overfull disk is full now', function (): void {
    $samples = [];
    foreach ([...range(0, 30), ...range(60, 90)] as $day) {
        $used = 100_000_000_000 + $day * 1_000_000_000 + ($day % 2) * 1_000_000;
        $samples[] = new FillSample(BEGINS + $day * 86400, $used);
    }
    $forecast = FillForecast::of(DISK, $samples);
    expect($forecast->steps)
        ->toBe([])
        ->and($forecast->perDay)
        ->toEqualWithDelta(1e9, 1e7);
    $over = FillForecast::of(100, [new FillSample(BEGINS, 120), new FillSample(BEGINS + 86400, 130)]);
    expect($over->reaches(1.0))->toBe(array_fill_keys(['at', 'from', 'to'], BEGINS + 86400));
});

test('a straight line is foretold to the day', function (): void {
    $samples = array_map(
        fn (int $day): FillSample => new FillSample(BEGINS + $day * 86400, $day * 1_000_000_000),
        range(0, 100),
    );
    $forecast = FillForecast::of(DISK, $samples);
    expect($forecast->perDay)
        ->toEqualWithDelta(1e9, 1.0)
        ->and($forecast->reaches(0.85)['at'])
        ->toEqualWithDelta(BEGINS + 425 * 86400, 60)
        ->and($forecast->reaches(1.0)['from'])
        ->toEqualWithDelta(BEGINS + 500 * 86400, 60)
        ->and($forecast->usedPercent())
        ->toBe(20.0);
});

test('a jump and a clean-up are told as such and change no trend', function (): void {
    $samples = array_map(
        fn (int $day): FillSample => new FillSample(
            BEGINS + $day * 86400,
            100_000_000_000 +
                $day * 1_000_000_000 +
                ($day >= 30 ? 60_000_000_000 : 0) -
                ($day >= 60 ? 40_000_000_000 : 0) +
                ($day % 3) * 10_000_000,
        ),
        range(0, 90),
    );
    $forecast = FillForecast::of(DISK, $samples);
    expect(
        array_map(
            fn (array $step): array => [($step['at'] - BEGINS) / 86400, (int) round($step['bytes'] / 1e9)],
            $forecast->steps,
        ),
    )
        ->toBe([[30, 60], [60, -40]])
        ->and($forecast->perDay)
        ->toEqualWithDelta(1e9, 2e7);
});

test('what shrinks is never full', function (): void {
    $samples = array_map(
        fn (int $day): FillSample => new FillSample(
            BEGINS + $day * 86400,
            300_000_000_000 - $day * 100_000_000,
        ),
        range(0, 60),
    );
    expect(FillForecast::of(DISK, $samples)->reaches(0.85))->toBe([
        'at' => null,
        'from' => null,
        'to' => null,
    ]);
});

test('a disk that is nearly full is so now', function (): void {
    $forecast = FillForecast::of(DISK, [new FillSample(BEGINS, 450_000_000_000)]);
    expect($forecast->reaches(0.85)['at'])
        ->toBe(BEGINS)
        ->and($forecast->reaches(1.0)['at'])
        ->toBeNull();
});

test('a description is read with its times, and what is wrong has its line', function (): void {
    $read = fn (string $text): array => FillFile::read(
        $text,
        (string) file_get_contents('core/Stores/schema/fill.schema.json'),
        'fill.yaml',
    );
    [$forecast] = $read(
        "bytes: 1000\nsamples:\n  - {at: 2026-11-24, used_bytes: 100}\n  - {at: '2026-11-25T00:00:00Z', used_bytes: 110}\n  - {at: 1795651200, used_bytes: 120}\n",
    );
    expect(round($forecast->perDay))
        ->toBe(10.0)
        ->and(gmdate('Y-m-d', (int) $forecast->reaches(1.0)['at']))
        ->toBe('2027-02-22');
    [$none, $findings] = $read("bytes: 1000\nsamples:\n  - {at: yesterday, used_bytes: 100}\n");
    expect($none)
        ->toBeNull()
        ->and($findings->list[0]->code)
        ->toBe('stores.not_a_time')
        ->and($findings->list[0]->place?->line)
        ->toBe(3);
});

test('a hundred thousand samples say what a thousand of the same days say', function (): void {
    $every = fn (int $seconds): array => array_map(
        fn (int $i): FillSample => new FillSample(BEGINS + $i * $seconds, 100_000_000_000 + $i * $seconds * 10_000),
        range(0, intdiv(70 * 86400, $seconds)),
    );
    expect(FillForecast::of(DISK, $every(60))->perDay)->toEqualWithDelta(
        FillForecast::of(DISK, $every(6000))->perDay,
        1e6,
    );
});

test('a disk is told that will be full within sixty days, counted in whole ones', function (
    float $perDay,
    ?string $said,
): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $samples = [];
    for ($day = 40; $day >= 0; $day--) {
        $samples[] = [$now->getTimestamp() - $day * 86_400, (int) round(500e9 - $day * $perDay)];
    }
    $house = household(
        [dweller('larder')],
        stores: ['fills' => [new Fill('larder', '/srv', 1_000_000_000_000, $samples)]],
    );
    $found = (new StoresConcern())->findings($house)->list;
    expect($found[0]->found ?? null)->toBe($said);
})->with([
    [350e9 / 59, '/srv on larder may be 85 % full in 59 days.'],
    [350e9 / 61, null],
    [350e9 / 2, '/srv on larder may be 85 % full in 2 days.'],
]);

test('a disk is full from eighty-five percent on', function (float $share, ?string $code): void {
    $now = (new DateTimeImmutable(THREE_O_CLOCK))->getTimestamp();
    $used = (int) round($share * 1e12);
    $fill = new Fill('larder', '/srv', 1_000_000_000_000, [[$now - 86_400, $used], [$now, $used]]);
    $found = (new StoresConcern())->findings(household([dweller('larder')], stores: ['fills' => [$fill]]))
        ->list;
    expect($found[0]->code ?? null)->toBe($code);
})->with([[0.8499, null], [0.85, 'stores.full'], [0.9, 'stores.full']]);

test('what a file of samples tells of itself', function (int $reserved, array $used, array $codes): void {
    $samples = implode(
        '',
        array_map(
            fn (int $at, int $bytes): string => '  - {at: '.
                (1_795_000_000 + $at * 86_400).
                ", used_bytes: {$bytes}}\n",
            array_keys($used),
            $used,
        ),
    );
    [, $findings] = FillFile::read(
        "bytes: 1000\nreserved_bytes: {$reserved}\nsamples:\n{$samples}",
        (string) file_get_contents('core/Stores/schema/fill.schema.json'),
        'x',
    );
    expect($findings->codes())->toBe($codes);
})->with([
    'two' => [0, [100, 110], ['stores.too_few_samples']],
    'three' => [0, [100, 110, 120], []],
    'just not nearly full' => [0, [849, 849, 849], []],
    'nearly full' => [0, [850, 850, 850], ['stores.nearly_full']],
    'one byte is left' => [999, [0, 0, 0], []],
    'nothing is left' => [1000, [0, 0, 0], ['stores.all_reserved']],
]);
