<?php

declare(strict_types=1);

use Burrow\Upkeep\Plan\Risk;
use Burrow\Upkeep\Plan\Spans;
use Burrow\Upkeep\Plan\UpkeepFile;
use Burrow\Upkeep\Plan\UpkeepPlan;

const UPKEEP_NOW = 1_795_705_200; // 2026-11-26 15:00 UTC

/** @return array{?UpkeepPlan, list<string>} */
function upkeep(array $described): array
{
    [$plan, $findings] = UpkeepFile::read(
        (string) json_encode($described + ['now' => UPKEEP_NOW]),
        (string) file_get_contents('core/Upkeep/schema/upkeep.schema.json'),
        'upkeep.yaml',
    );

    return [$plan, $findings->codes()];
}

/** Minutes since now, of a clock in UTC: "22:00" is 420. */
function minute(string $clock): int
{
    return (int) ((strtotime("2026-11-26 {$clock} UTC") - UPKEEP_NOW) / 60);
}

/**
 * What is wrong with a plan; shares nothing with what made it.
 *
 * @return list<string>
 */
function wrongWith(array $described, UpkeepPlan $plan): array
{
    $wrong = [];
    $told = $plan->jsonSerialize();
    $boxes = array_column($described['boxes'], null, 'name');
    $ends = [];
    $free = UPKEEP_NOW;
    foreach ($told['steps'] as $step) {
        $box = $boxes[$step['box']];
        $length = 60 * ($box['minutes'] + ($box['restart_minutes'] ?? 0) + ($box['check_minutes'] ?? 2));
        (int) $length === $step['end'] - $step['start'] || ($wrong[] = "{$step['box']} is too short");
        $step['start'] >= $free || ($wrong[] = "{$step['box']} begins before the one before it is over");
        $free = $step['end'];
        foreach ($box['needs'] ?? [] as $need) {
            $planned = in_array($need, array_column($told['steps'], 'box'), true);
            if ($planned && $need !== ($described['work_through'] ?? null) && ! isset($ends[$need])) {
                $wrong[] = "{$step['box']} comes before {$need}";
            }
        }
        // Minute by minute: within a window of its own.
        for ($at = $step['start']; ($box['windows'] ?? []) !== [] && $at < $step['end']; $at += 60) {
            $inside = false;
            foreach ($box['windows'] as $window) {
                $clock = gmdate('H:i', $at);
                $inside =
                    $inside ||
                    ($window['from'] < $window['to']
                        ? $clock >= $window['from'] && $clock < $window['to']
                        : $clock >= $window['from'] || $clock < $window['to']);
            }
            if (! $inside) {
                $wrong[] = "{$step['box']} leaves its window at ".gmdate('H:i', $at);
                break;
            }
        }
        $ends[$step['box']] = $step['end'];
    }
    $last = $described['work_through'] ?? null;
    if ($last !== null && isset($ends[$last]) && array_key_last($ends) !== $last) {
        $wrong[] = "{$last} is not the last";
    }

    return $wrong;
}

/** The end of the best of all orders, tried one by one: no sets, no spans. */
function bestOfAllOrders(array $described): ?int
{
    $boxes = $described['boxes'];
    $best = null;
    $place = function (array $box, int $from): ?int {
        $length = (int) ($box['minutes'] + ($box['restart_minutes'] ?? 0) + ($box['check_minutes'] ?? 2));
        for ($start = $from; $start < $from + 3 * 1440; $start++) {
            $all = true;
            for ($at = $start; $all && $at < $start + $length; $at++) {
                $clock = gmdate('H:i', UPKEEP_NOW + 60 * $at);
                $inside = $box['windows'] === [];
                foreach ($box['windows'] as $window) {
                    $inside =
                        $inside ||
                        ($window['from'] < $window['to']
                            ? $clock >= $window['from'] && $clock < $window['to']
                            : $clock >= $window['from'] || $clock < $window['to']);
                }
                $all = $inside;
            }
            if ($all) {
                return $start + $length;
            }
        }

        return null;
    };
    $try = function (array $done, array $left, int $time) use (&$try, &$best, $place, $described): void {
        if ($left === []) {
            $best = min($best ?? PHP_INT_MAX, $time);

            return;
        }
        foreach ($left as $i => $box) {
            $waits = array_diff($box['needs'] ?? [], $done, [$described['work_through'] ?? '']);
            if ($waits !== [] || ($box['name'] === ($described['work_through'] ?? '') && count($left) > 1)) {
                continue;
            }
            $end = $place($box, $time);
            $end === null ||
                ($best !== null && $end >= $best) ||
                $try([...$done, $box['name']], array_diff_key($left, [$i => 0]), $end);
        }
    };
    $try([], $boxes, 0);

    return $best;
}

/** A house of random boxes, the same for a seed. */
function randomUpkeep(int $seed, int $most): array
{
    mt_srand($seed);
    $boxes = [];
    for ($i = 0, $count = mt_rand(2, $most); $i < $count; $i++) {
        $needs = [];
        for ($n = mt_rand(0, 2); $n > 0 && $i > 0; $n--) {
            $needs[] = 'box-'.mt_rand(0, $i - 1);
        }
        $from = mt_rand(16, 23);
        $boxes[] = [
            'name' => "box-{$i}",
            'minutes' => mt_rand(1, 25),
            'restart_minutes' => mt_rand(0, 4),
            'needs' => array_values(array_unique($needs)),
            'windows' => mt_rand(0, 2) === 0
                    ? []
                    : [
                        [
                            'from' => sprintf('%02d:00', $from),
                            'to' => sprintf('%02d:%02d', ($from + mt_rand(1, 4)) % 24, mt_rand(0, 59)),
                        ],
                    ],
            'security' => mt_rand(0, 1) === 1,
            'age_days' => mt_rand(0, 90),
        ];
    }

    return ['boxes' => $boxes, 'days' => 3] + (mt_rand(0, 1) === 0 ? [] : ['work_through' => 'box-0']);
}

test('nothing is over earlier than the plan, of all orders there are', function (int $seed): void {
    $described = randomUpkeep($seed, 6);
    [$plan] = upkeep($described);
    $best = bestOfAllOrders($described);
    expect(wrongWith($described, $plan))->toBe([]);
    if ($best !== null && $plan->left === []) {
        expect(($plan->finish() - UPKEEP_NOW) / 60)->toEqualWithDelta($best, 0.01);
    }
})->with(range(1, 40));

test('many boxes: never an order that cannot be', function (int $seed): void {
    $described = randomUpkeep($seed, 40);
    [$plan] = upkeep($described);
    expect(wrongWith($described, $plan))->toBe([]);
})->with(range(100, 115));

test('providers first, and the one through which one works last', function (): void {
    [$plan] = upkeep([
        'work_through' => 'culvert',
        'boxes' => [
            ['name' => 'lantern', 'minutes' => 10, 'needs' => ['larder', 'sieve']],
            ['name' => 'culvert', 'minutes' => 5],
            ['name' => 'larder', 'minutes' => 9, 'needs' => ['sieve', 'culvert']],
            ['name' => 'sieve', 'minutes' => 6],
        ],
    ]);
    expect(array_column($plan->jsonSerialize()['steps'], 'box'))->toBe([
        'sieve',
        'larder',
        'lantern',
        'culvert',
    ]);
});

test('of two orders that end together the urgent box comes first', function (): void {
    [$plan] = upkeep([
        'boxes' => [
            ['name' => 'a', 'minutes' => 10, 'age_days' => 1],
            ['name' => 'b', 'minutes' => 10, 'age_days' => 1, 'security' => true, 'exposed' => true],
        ],
    ]);
    expect(array_column($plan->jsonSerialize()['steps'], 'box'))->toBe(['b', 'a']);
});

test('while a box is in use, those it needs are left alone', function (): void {
    [$plan] = upkeep([
        'busy' => [['from' => '15:00', 'to' => '22:30', 'boxes' => ['lantern']]],
        'boxes' => [
            ['name' => 'sieve', 'minutes' => 6],
            ['name' => 'lantern', 'minutes' => 10, 'needs' => ['sieve']],
            ['name' => 'wren', 'minutes' => 3],
        ],
    ]);
    $start = array_column($plan->jsonSerialize()['steps'], 'start', 'box');
    expect(($start['wren'] - UPKEEP_NOW) / 60)
        ->toBeLessThan(10)
        ->and(($start['sieve'] - UPKEEP_NOW) / 60)
        ->toEqual(minute('22:30'));
});

test('both resolvers never on one evening', function (): void {
    [$plan] = upkeep([
        'apart' => [['sieve', 'sieve-2']],
        'boxes' => [
            ['name' => 'sieve', 'minutes' => 6, 'windows' => [['from' => '22:00', 'to' => '23:00']]],
            ['name' => 'sieve-2', 'minutes' => 6, 'windows' => [['from' => '22:00', 'to' => '23:00']]],
        ],
    ]);
    $starts = array_column($plan->jsonSerialize()['steps'], 'start');
    expect($starts[1] - $starts[0])->toBe(86400);
});

test('what does not fit says why', function (): void {
    [$plan, $codes] = upkeep([
        'boxes' => [
            ['name' => 'seedpress', 'minutes' => 200, 'windows' => [['from' => '22:00', 'to' => '23:00']]],
            ['name' => 'wren', 'minutes' => 5, 'absent' => true],
            ['name' => 'larder', 'minutes' => 5, 'needs' => ['seedpress']],
        ],
    ]);
    expect(array_column($plan->left, 'why', 'box'))
        ->toBe([
            'wren' => 'it is not on; it falls due when it appears',
            'seedpress' => 'it takes 202 minutes, and its longest window has 60',
        ])
        ->and($codes)
        ->toBe(['upkeep.absent', 'upkeep.does_not_fit'])
        ->and(array_column($plan->jsonSerialize()['steps'], 'box'))
        ->toBe(['larder']);
});

test('what cannot be is refused', function (array $described, string $code): void {
    [$plan, $codes] = upkeep($described);
    expect($plan)->toBeNull()->and($codes)->toContain($code);
})->with([
    'a circle' => [
        [
            'boxes' => [
                ['name' => 'a', 'minutes' => 1, 'needs' => ['b']],
                ['name' => 'b', 'minutes' => 1, 'needs' => ['a']],
            ],
        ],
        'upkeep.circle',
    ],
    'a name that is none' => [
        ['boxes' => [['name' => 'a', 'minutes' => 1, 'needs' => ['c']]]],
        'upkeep.no_such_box',
    ],
    'one twice' => [
        ['boxes' => [['name' => 'a', 'minutes' => 1], ['name' => 'a', 'minutes' => 1]]],
        'upkeep.box_twice',
    ],
    'a zone that is none' => [
        ['zone' => 'Europe/Thistledown', 'boxes' => [['name' => 'a', 'minutes' => 1]]],
        'upkeep.not_a_zone',
    ],
    'a time that is none' => [
        ['now' => 'tonight', 'boxes' => [['name' => 'a', 'minutes' => 1]]],
        'upkeep.not_a_time',
    ],
]);

test(
    'windows go over midnight, and are as long as the night on which the clock is changed',
    function (): void {
        $zone = new DateTimeZone('Europe/London');
        $spans = fn (string $begin, string $from, string $to): array => Spans::weekly(
            [],
            $from,
            $to,
            (int) strtotime("{$begin} 12:00 UTC"),
            (int) strtotime("{$begin} 12:00 UTC") + 86400,
            $zone,
        )->spans;
        $hours = fn (array $spans): array => array_map(
            fn (array $span): float => ($span[1] - $span[0]) / 3600,
            $spans,
        );
        // In 2027 clocks go forward on 28 March and back on 31 October.
        expect($hours($spans('2026-11-26', '23:00', '03:00')))
            ->toBe([4.0])
            ->and($hours($spans('2027-03-27', '23:00', '03:00')))
            ->toBe([3.0])
            ->and($hours($spans('2027-10-30', '23:00', '03:00')))
            ->toBe([5.0]);
    },
);

test('a window of one day of the week is on that day', function (): void {
    $spans = Spans::weekly(
        ['mon'],
        '22:00',
        '23:00',
        UPKEEP_NOW,
        UPKEEP_NOW + 14 * 86400,
        new DateTimeZone('UTC'),
    )->spans;
    expect(array_map(fn (array $span): string => gmdate('D Y-m-d H:i', $span[0]), $spans))->toBe([
        'Mon 2026-11-30 22:00',
        'Mon 2026-12-07 22:00',
    ]);
});

test('a thousand boxes cost little more than their number', function (): void {
    $many = fn (int $count): array => [
        'days' => 30,
        'boxes' => array_map(
            fn (int $i): array => [
                'name' => "box-{$i}",
                'minutes' => 1,
                'needs' => $i % 5 === 0 ? [] : ['box-'.($i - ($i % 5))],
            ],
            range(0, $count - 1),
        ),
    ];
    $time = function (int $count) use ($many): float {
        $began = hrtime(true);
        upkeep($many($count));

        return hrtime(true) - $began;
    };
    $time(50);
    expect($time(400) / $time(100))->toBeLessThan(40);
});

test('how old the last update is, is told with one digit', function (float $days, string $words): void {
    $lines = (new Risk(false, false, $days))->working('larder')->lines;
    expect($lines[2]->result)->toBe($words);
})->with([[0.04, '0 days ago'], [1.0, '1 day ago'], [12.34, '12.3 days ago']]);

test('hours end with the time that is looked at', function (): void {
    $at = fn (string $time): int => (new DateTimeImmutable("2026-11-{$time}Z"))->getTimestamp();
    $spans = Spans::weekly([], '00:10', '00:40', $at('26 12:00'), $at('28 00:30'), new DateTimeZone('UTC'));
    expect($spans->spans)->toBe([[$at('27 00:10'), $at('27 00:40')], [$at('28 00:10'), $at('28 00:30')]]);
});

test('hours that touch are one stretch, and hours from a time to itself are a whole day', function (): void {
    $at = fn (string $time): int => (new DateTimeImmutable("2026-11-{$time}Z"))->getTimestamp();
    $all = Spans::weekly([], '22:00', '22:00', $at('26 12:00'), $at('28 12:00'), new DateTimeZone('UTC'));
    expect(Spans::of([[0, 10], [10, 20], [20, 20], [30, 25]])->spans)
        ->toBe([[0, 20]])
        ->and($all->spans)
        ->toBe([[$at('26 12:00'), $at('28 12:00')]])
        ->and([Spans::of([[0, 10]])->fits(0, 10), Spans::of([[0, 10]])->fits(0, 11)])
        ->toBe([0, null])
        ->and(Spans::of([[0, 10]])->without(Spans::of([[10, 20]]))->spans)
        ->toBe([[0, 10]]);
});
