<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Household\BoxParts;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Upkeep\Draw\WeekPicture;
use Burrow\Upkeep\Due;
use Burrow\Upkeep\MissedHours;
use Burrow\Upkeep\Plan\Doing;
use Burrow\Upkeep\Plan\HousePlan;
use Burrow\Upkeep\Plan\UpkeepPlan;
use Burrow\Upkeep\TypedHours;
use Burrow\Upkeep\Updates;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

// What is due in a house, as a plan and as a picture. It is Wednesday, 15:00.

/** A box that was last brought up to date so many days ago. */
function aged(string $name, int $days, string $job = 'file-store', mixed ...$with): Burrow\Household\Box
{
    $updated = (new DateTimeImmutable(THREE_O_CLOCK))->modify("-{$days} days");

    return dweller($name, ...['job' => $job, 'updated' => $updated, ...$with]);
}

function hours(
    string $what,
    string $from,
    string $to,
    array $boxes = [],
    array $days = [],
    string $kind = Hours::BUSY,
): Hours {
    return new Hours(1, $kind, $what, $days, $from, $to, $boxes);
}

/** @return array<string, string> box => when it begins */
function begins(?UpkeepPlan $plan): array
{
    $begins = [];
    foreach ($plan->doings ?? [] as $one) {
        $begins[$one->box->name] = gmdate('D H:i', $one->start);
    }

    return $begins;
}

/** @param  list<Hours>  $hours */
function dueHouse(array $boxes, array $hours = [], array $dependsOn = [], array $openings = []): Household
{
    return household($boxes, openings: $openings, dependsOn: $dependsOn, told: ['hours' => $hours]);
}

test('only what falls due within the week is planned, and nothing is no plan', function (): void {
    $house = dueHouse([aged('larder', 40), aged('lantern', 2)]);
    expect(array_keys(begins(HousePlan::of($house, null))))
        ->toBe(['larder'])
        ->and(HousePlan::of(dueHouse([aged('lantern', 2)]), null))
        ->toBeNull()
        ->and(HousePlan::of(dueHouse([dweller('bare')]), null))
        ->toBeNull();
});

test(
    'it keeps to the hours for work, and out of those in which a box or one that needs it is in use',
    function (): void {
        $boxes = [aged('larder', 40), aged('lantern', 40, 'media-library')];
        $evening = hours('quiet', '21:40', '23:30', kind: Hours::WINDOW);
        expect(begins(HousePlan::of(dueHouse($boxes, [$evening]), null)))
            ->toHaveCount(2)
            ->each->toStartWith('Wed 21:');
        // Lantern shows films that lie on larder: larder is in use, too.
        $films = hours('films', '21:00', '22:30', ['lantern'], ['wed']);
        $began = begins(HousePlan::of(dueHouse($boxes, [$evening, $films], ['lantern' => ['larder']]), null));
        expect($began['larder'])
            ->toBe('Wed 22:30')
            ->and($began['lantern'] > 'Wed 22:30')
            ->toBeTrue();
    },
);

test(
    'who works through a box does it last; a silent one waits; two for names are never together',
    function (): void {
        $boxes = [
            aged('culvert', 90, 'tunnel-endpoint'),
            aged('larder', 40),
            aged('sieve', 40, 'dns-filter'),
            aged('second', 40, 'dns-filter'),
            aged('wren', 40, 'file-store', hearing: heard('2026-11-25 10:00')),
        ];
        $plan = HousePlan::of(dueHouse($boxes, openings: ['culvert' => ['51944 udp']]), 'culvert');
        $began = array_map(fn (Doing $one): int => $one->start, $plan->doings ?? []);
        $names = array_map(fn (Doing $one): string => $one->box->name, $plan->doings ?? []);
        $at = array_combine($names, $began);
        expect($names)
            ->toHaveCount(4)
            ->and(end($names))
            ->toBe('culvert')
            ->and(abs($at['sieve'] - $at['second']))
            ->toBeGreaterThanOrEqual(12 * 3600)
            ->and(array_column($plan->left ?? [], 'box'))
            ->toBe(['wren']);
    },
);

test('the picture: nothing leaves it, no lane meets another, and words stay inside', function (): void {
    mt_srand(11);
    for ($case = 0; $case < 60; $case++) {
        $boxes = $dependsOn = $hours = [];
        for ($i = 0, $count = mt_rand(1, 18); $i < $count; $i++) {
            $boxes[] = aged(
                "box{$i}",
                mt_rand(20, 200),
                ['file-store', 'dns-filter', 'media-library'][mt_rand(0, 2)],
                parts: new BoxParts(board: 'flint'),
            );
            $i > 0 && mt_rand(0, 2) === 0 && ($dependsOn["box{$i}"][] = 'box'.mt_rand(0, $i - 1));
        }
        for ($i = mt_rand(0, 6); $i > 0; $i--) {
            $of = mt_rand(0, 1) === 0 ? [] : ['box'.mt_rand(0, $count - 1)];
            $from = sprintf('%02d:%02d', mt_rand(0, 23), 5 * mt_rand(0, 11));
            $to = sprintf('%02d:%02d', mt_rand(0, 23), 5 * mt_rand(0, 11));
            $hours[] = hours(
                "what {$i}",
                $from,
                $to,
                $of,
                mt_rand(0, 1) === 0 ? [] : [Hours::DAYS[mt_rand(0, 6)]],
                mt_rand(0, 2) === 0 ? Hours::WINDOW : Hours::BUSY,
            );
        }
        $house = dueHouse($boxes, $hours, $dependsOn);
        $plan = HousePlan::of($house, null);
        if ($plan === null) {
            continue;
        }
        $picture = WeekPicture::of($house, $plan);
        $lastY = 0.0;
        foreach ($picture->lanes as $lane) {
            expect($lane->y)
                ->toBeGreaterThanOrEqual($lastY)
                ->and($lane->y + WeekPicture::LANE)
                ->toBeLessThan($picture->height);
            $lastY = $lane->y + WeekPicture::LANE;
            expect($lane->saysX)
                ->toBeGreaterThanOrEqual(WeekPicture::LEFT)
                ->and($lane->saysX + mb_strlen($lane->says) * 7.3)
                ->toBeLessThan(WeekPicture::WIDTH);
            if ($lane->from !== null) {
                expect($lane->from)
                    ->toBeGreaterThanOrEqual(WeekPicture::LEFT)
                    ->and($lane->to)
                    ->toBeGreaterThan($lane->dark ?? $lane->from)
                    ->toBeLessThanOrEqual(WeekPicture::RIGHT + 8);
            }
            foreach ($lane->busy as $span) {
                expect($span['x'])
                    ->toBeGreaterThanOrEqual(WeekPicture::LEFT)
                    ->and($span['x'] + $span['width'])
                    ->toBeLessThan(WeekPicture::RIGHT + 3);
            }
        }
        foreach ([$picture->days, $picture->clock] as $marks) {
            foreach ($marks as $i => $mark) {
                $wide = 7.3 * mb_strlen($mark['label']);
                expect($mark['x'] + $wide)->toBeLessThan($marks[$i + 1]['x'] ?? WeekPicture::WIDTH);
            }
        }
    }
});

test(
    'a calendar file is read back by another program, and moments that cannot be are told',
    function (): void {
        $writer = FileKinds::all()['ics'];
        $schema = (string) file_get_contents($writer->schema());
        $written = $writer->write(
            (string) json_encode([
                'name' => 'Upkeep; of, "the" house',
                'events' => [
                    [
                        'id' => 'a',
                        'start' => '2026-11-25T21:40:00Z',
                        'end' => 1795732800,
                        'title' => "sieve: update,\nrestart; \\ and so on",
                        'text' => str_repeat('ä', 300),
                    ],
                ],
            ]),
            $schema,
            'x',
        );
        $calendar = Reader::read((string) $written->text);
        assert($calendar instanceof VCalendar);
        $event = $calendar->VEVENT;
        expect((string) $event->SUMMARY)
            ->toBe("sieve: update,\nrestart; \\ and so on")
            ->and($event->DTSTART->getDateTime()->getTimestamp())
            ->toBe(strtotime('2026-11-25 21:40 UTC'))
            ->and($calendar->validate())
            ->toBe([])
            ->and(max(array_map(strlen(...), explode("\r\n", (string) $written->text))))
            ->toBeLessThanOrEqual(75);
        $wrong = $writer->write(
            '{"name":"x","events":[{"start":20,"end":10,"title":"a"},{"start":"soon","end":1,"title":"b"}]}',
            $schema,
            'x',
        );
        expect($wrong->text)
            ->toBeNull()
            ->and($wrong->findings->codes())
            ->toBe(['upkeep.ends_before', 'upkeep.not_a_time']);
    },
);

test('hours that cannot be are told at their field', function (array $with, array $fields): void {
    $house = dueHouse([aged('larder', 4)]);
    $typed = [
        'hours_what' => 'films',
        'hours_kind' => 'busy',
        'hours_from' => '19:00',
        'hours_to' => '21:30',
        ...$with,
    ];
    $judged = TypedHours::of($house, $typed, ['fri', 'kettle'], ['larder', 'nobody']);
    expect(array_map(fn ($one): ?string => $one->place?->field, $judged->findings->list))
        ->toBe($fields)
        ->and($judged->hours === null)
        ->toBe($fields !== []);
    if ($judged->hours !== null) {
        expect([$judged->hours->days, $judged->hours->boxes])->toBe([['fri'], ['larder']]);
    }
})->with([
    'all is well' => [[], []],
    'no words' => [['hours_what' => ' '], ['hours_what']],
    'no time' => [['hours_from' => '7', 'hours_to' => '24:00'], ['hours_from', 'hours_to']],
]);

test('hours that went by while a box was due are told, with the next ones; others are not', function (
    int $days,
    array $hours,
    array $with,
    ?string $says,
): void {
    // Its cadence is 30 days; nothing else of the house has hours.
    $house = dueHouse([aged('larder', $days, ...$with), aged('lantern', 2)], $hours);
    $found = (new Updates())->findings($house)->list;
    $missed = array_values(
        array_filter($found, fn (Finding $one): bool => $one->code === 'upkeep.hours_missed'),
    );
    $late = $days === 30 ? 'due for an update today' : $days - 30 .' days past its update';
    expect($missed[0]->found ?? null)->toBe(
        $says === null ? null : "Larder is {$late}, and its hours went by: {$says}.",
    );
    // One thing is said of one box.
    expect(count($found))->toBeLessThanOrEqual(1);
})->with(function (): array {
    $window = fn (string $from, string $to, array $days = [], array $boxes = ['larder']): Hours => hours(
        'quiet',
        $from,
        $to,
        $boxes,
        $days,
        Hours::WINDOW,
    );

    return [
        'last night' => [40, [$window('02:00', '04:00')], [], 'Wednesday 25 Nov, 02:00 to 04:00'],
        'over midnight' => [40, [$window('23:00', '01:00')], [], 'Tuesday 24 Nov, 23:00 to Wednesday 01:00'],
        'on a day of the week' => [
            40,
            [$window('10:00', '12:00', ['mon'])],
            [],
            'Monday 23 Nov, 10:00 to 12:00',
        ],
        'for the whole house' => [
            40,
            [$window('02:00', '04:00', [], [])],
            [],
            'Wednesday 25 Nov, 02:00 to 04:00',
        ],
        'not over yet' => [30, [$window('14:00', '16:00', ['wed'])], [], null],
        'before it was due' => [30, [$window('10:00', '12:00', ['tue'])], [], null],
        'on the day that it was due' => [
            30,
            [$window('10:00', '12:00', ['wed'])],
            [],
            'Wednesday 25 Nov, 10:00 to 12:00',
        ],
        'not due' => [20, [$window('02:00', '04:00')], [], null],
        'hours of another box' => [40, [$window('02:00', '04:00', [], ['lantern'])], [], null],
        'hours in which it is used' => [40, [hours('film', '02:00', '04:00', ['larder'])], [], null],
        'no hours' => [40, [], [], null],
        'months ago' => [400, [$window('02:00', '04:00')], [], 'Wednesday 25 Nov, 02:00 to 04:00'],
    ];
});

test(
    'the next hours are told, and where there are none, that there are none; one that is off is left alone',
    function (): void {
        $window = hours('quiet', '10:00', '12:00', ['larder'], ['mon'], Hours::WINDOW);
        $of = fn (Burrow\Household\Box $box, array $hours): array => array_column(
            (new Updates())->findings(dueHouse([$box], $hours))->list,
            'do',
            'code',
        );
        expect($of(aged('larder', 40), [$window])['upkeep.hours_missed'])->toContain('Monday 30 Nov, 10:00');
        $silent = aged('larder', 40, 'file-store', hearing: heard('2026-11-24 10:00'));
        expect($of($silent, [$window]))->not->toHaveKey('upkeep.hours_missed');
    },
);

test('of two alike, the one that is reached from outside comes first', function (string $exposed): void {
    $plan = HousePlan::of(
        dueHouse([aged('larder', 40), aged('press', 40)], openings: [$exposed => ['443 tcp']]),
        null,
    );
    expect(array_key_first(begins($plan)))->toBe($exposed);
})->with(['larder', 'press']);

test('a house with what is due, as the plan is asked', function (): void {
    $boxes = [
        aged('larder', 40, parts: new BoxParts(board: 'flint')),
        aged('lantern', 60, 'media-library', hearing: heard('2026-11-25 10:00')),
        aged('sieve', 2, 'dns-filter'),
    ];
    $house = dueHouse(
        $boxes,
        [
            hours('films', '20:00', '23:00', ['lantern'], ['fri', 'sat']),
            hours('Sunday', '09:00', '12:00', ['larder'], ['sun'], Hours::WINDOW),
        ],
        ['lantern' => ['larder'], 'larder' => ['sieve']],
        ['larder' => ['443 tcp']],
    );
    $asked = json_encode(HousePlan::described($house, 'lantern'), CORPUS_JSON | JSON_PRETTY_PRINT)."\n";
    expect($asked)->toBe(onFile(__DIR__.'/house-plan.json', $asked));
});

test('hours are of the kind that was said', function (string $said, string $kind): void {
    $typed = ['hours_what' => 'quiet', 'hours_from' => '19:00', 'hours_to' => '21:00', 'hours_kind' => $said];
    expect(TypedHours::of(household([dweller('larder')]), $typed, ['fri'], ['larder'])->hours?->kind)->toBe(
        $kind,
    );
})->with([[Hours::WINDOW, Hours::WINDOW], [Hours::BUSY, Hours::BUSY], ['x', Hours::BUSY]]);

test('hours count as gone by from the day on which it was due, up to this moment', function (
    string $from,
    string $to,
    bool $missed,
): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $box = dweller('larder', updated: $now->modify('-31 days'));
    $house = household(
        [$box],
        told: ['hours' => [new Hours(1, Hours::WINDOW, 'x', [], $from, $to, ['larder'])]],
    );
    $due = Due::of('larder', $now->modify('-30 days'), ['file-store' => 30], $now);
    expect(MissedHours::of($house, $box, $due) !== null)->toBe($missed);
})->with([
    'ended this minute' => ['14:00', '15:00', true],
    'ends in a minute' => ['14:00', '15:01', false],
    'began with the day' => ['00:00', '01:00', true],
    'began the evening before' => ['23:00', '01:00', false],
]);
