<?php

declare(strict_types=1);

use Burrow\BringUp\Evening\Draw\Bar;
use Burrow\BringUp\Evening\Draw\EveningPicture;
use Burrow\BringUp\Evening\Evening;
use Burrow\BringUp\Evening\EveningCalendar;
use Burrow\BringUp\Evening\Lane;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;
use Burrow\BringUp\Evening\TimetableFile;
use Sabre\VObject\Reader;

// A timetable laid on the clock, drawn, and written into a calendar.

/** @param  array<string, list<array{0: float, 1?: float, 2?: list<string>}>>  $runs  hands, wait, things held */
function eveningOf(array $runs, string $now = '2026-11-26 20:59:00'): Evening
{
    $lanes = [];
    foreach ($runs as $run => $tasks) {
        $lanes[] = new Lane(
            $run,
            array_map(
                fn (int $at): Task => new Task(
                    "s{$at}",
                    $tasks[$at][0],
                    $tasks[$at][1] ?? 0.0,
                    $tasks[$at][2] ?? [],
                ),
                array_keys($tasks),
            ),
        );
    }

    return new Evening(Timetable::of($lanes), new DateTimeImmutable($now, new DateTimeZone('Europe/London')));
}

test('what the hands do now and next, what runs meanwhile, when they are free', function (): void {
    $evening = eveningOf(['wren' => [[0, 600], [120]], 'lantern' => [[60, 240], [60]]]);
    expect($evening->first()?->run)
        ->toBe('lantern')
        ->and($evening->first()->start)
        ->toBe(0.0)
        ->and($evening->then()?->task->id)
        ->toBe('s1')
        ->and(array_map(fn (Slot $slot): string => $slot->run, $evening->waits()))
        ->toBe(['wren'])
        ->and($evening->breaks())
        ->toBe([[60.0, 300.0], [360.0, 600.0]])
        ->and($evening->stays())
        ->toBe([['lantern', 0.0, 60.0], ['lantern', 300.0, 360.0], ['wren', 600.0, 720.0]])
        ->and($evening->finish()->format('H:i'))
        ->toBe('21:11')
        ->and(
            $evening
                ->latestStart(new DateTimeImmutable('2026-11-26 22:30', new DateTimeZone('Europe/London')))
                ->format('H:i'),
        )
        ->toBe('22:18');
});

test('a break is three minutes at the least', function (array $runs, array $breaks): void {
    expect(eveningOf($runs)->breaks())->toBe($breaks);
})->with([
    'between' => [['wren' => [[60, 180], [60]]], [[60.0, 240.0]]],
    'too short' => [['wren' => [[60, 179], [60]]], []],
    'at the end' => [['wren' => [[60, 180]]], [[60.0, 240.0]]],
    'too short, at the end' => [['wren' => [[60, 179]]], []],
]);

test('nothing to do is nothing to do', function (): void {
    $evening = eveningOf([]);
    expect($evening->first())
        ->toBeNull()
        ->and($evening->breaks())
        ->toBe([])
        ->and($evening->finish())
        ->toEqual($evening->now)
        ->and($evening->needed())
        ->toBe([]);
});

test(
    'the calendar is one that another reader takes, with a time for every stretch of hands',
    function (): void {
        $evening = eveningOf([
            'wren' => [[120, 900], [60], [60, 600], [90]],
            'lantern' => [[60, 1800], [60]],
        ]);
        $text = EveningCalendar::write(
            $evening,
            fn (Slot $slot): string => "step, with a; sign \\ {$slot->task->id}",
        );
        $calendar = Reader::read($text);
        expect($calendar->validate())
            ->toBe([])
            ->and(count($calendar->VEVENT))
            ->toBe(count($evening->needed()));
        $first = $calendar->VEVENT[0];
        expect($first->DTSTART->getDateTime()->format('c'))
            ->toBe('2026-11-26T20:59:00+00:00')
            ->and((string) $first->SUMMARY)
            ->toContain('step, with a; sign \\');
        // Everything by hand lies inside one of the times.
        foreach ($evening->timetable->slots as $slot) {
            if ($slot->task->hands > 0) {
                $inside = array_filter(
                    $evening->needed(),
                    fn (array $time): bool => $time['from'] <= $slot->start &&
                        $slot->handsEnd() <= $time['to'],
                );
                expect($inside)->not->toBe([]);
            }
        }
        foreach (explode("\r\n", $text) as $line) {
            expect(strlen($line))->toBeLessThanOrEqual(75);
        }
    },
);

test('bars of a lane never overlap and stay in the picture, and labels fit their bars', function (): void {
    $chance = dice(31);
    for ($i = 0; $i < 20; $i++) {
        $runs = [];
        foreach (range(1, $chance->getInt(1, 8)) as $run) {
            foreach (range(1, $chance->getInt(1, 12)) as $step) {
                $runs["run{$run}"][] = [
                    20.0 * $chance->getInt(0, 6),
                    $chance->getInt(0, 1) ? 30.0 * $chance->getInt(0, 40) : 0.0,
                    $chance->getInt(0, 6) ? [] : ['card reader'],
                ];
            }
        }
        $picture = EveningPicture::of(
            eveningOf($runs),
            array_keys($runs),
            fn (Slot $slot): string => $slot->task->id,
        );
        expect(count($picture->lanes))->toBeGreaterThan(count($runs));
        foreach ($picture->lanes as $lane) {
            $bars = $lane['bars'];
            usort($bars, fn (Bar $one, Bar $other): int => $one->x <=> $other->x);
            $end = 0.0;
            foreach ($bars as $bar) {
                // The narrowest bars may reach a unit and a half over the next moment.
                expect($bar->x)
                    ->toBeGreaterThanOrEqual($end - 1.6)
                    ->and($bar->x + $bar->width)
                    ->toBeLessThanOrEqual(EveningPicture::WIDTH)
                    ->and($bar->label === '' || mb_strlen($bar->label) * 7 <= $bar->width)
                    ->toBeTrue();
                $end = $bar->x + $bar->width;
            }
        }
        $last = 0.0;
        foreach ($picture->marks as $mark) {
            expect($mark['x'] - $last)->toBeGreaterThanOrEqual(60);
            $last = $mark['x'];
        }
    }
});

test('runs that begin alike get letters of their own', function (): void {
    $runs = ['lantern' => [[60]], 'larder' => [[60]], 'lark' => [[60]]];
    $picture = EveningPicture::of(eveningOf($runs), array_keys($runs), fn (Slot $slot): string => '');
    expect(array_column(array_slice($picture->lanes, 1), 'under'))
        ->toHaveCount(3)
        ->and(array_unique(array_column($picture->lanes, 'under')))
        ->toHaveCount(4);
});

test(
    'a look that takes no time stands in the timetable, and a short step is a minute of the calendar',
    function (): void {
        $evening = eveningOf(['wren' => [[20], [0], [0, 600], [90]]]);
        expect(array_column($evening->timetable->jsonSerialize()['steps'], 'step'))->toBe([
            's0',
            's1',
            's2',
            's3',
        ]);
        $events = [];
        foreach (
            Reader::read(EveningCalendar::write($evening, fn (Slot $slot): string => $slot->task->id))->VEVENT as $event
        ) {
            $events[] =
                $event->DTEND->getDateTime()->getTimestamp() - $event->DTSTART->getDateTime()->getTimestamp();
        }
        expect($events)->toBe([60, 90]);
    },
);

test('an evening whose waits are ranges is over by the stated hour in as many evenings as stated', function (): void {
    mt_srand(8);
    $schema = (string) file_get_contents('core/BringUp/schema/timetable.schema.json');
    $late = $likely = $all = 0;
    for ($case = 0; $case < 40; $case++) {
        $runs = [];
        foreach (range(1, mt_rand(2, 4)) as $run) {
            $steps = [];
            foreach (range(1, mt_rand(2, 5)) as $step) {
                $least = mt_rand(10, 900);
                $steps[] = ['id' => "s{$step}", 'hands_s' => mt_rand(20, 200), 'wait_s' => [$least, $least + mt_rand(60, 2400)]];
            }
            $runs[] = ['run' => "r{$run}", 'steps' => $steps];
        }
        $table = TimetableFile::read((string) json_encode(['runs' => $runs]), $schema, 'x')->timetable;
        $order = array_map(fn ($slot): array => [(int) substr($slot->run, 1), $slot->task->id], $table->slots);
        // Played apart: the same order, hands of one person, each run's steps one after the other.
        for ($turn = 0; $turn < 200; $turn++, $all++) {
            [$free, $end, $ready] = [0.0, 0.0, []];
            foreach ($order as [$run, $id]) {
                $step = array_column($runs[$run - 1]['steps'], null, 'id')[$id];
                $begin = max($free, $ready[$run] ?? 0.0);
                $free = $begin + $step['hands_s'];
                [$least, $most] = $step['wait_s'];
                $ready[$run] = $free + $least + (($most - $least) * mt_rand()) / mt_getrandmax();
                $end = max($end, $ready[$run]);
            }
            $late += $end <= $table->overBy(90) + 1 ? 1 : 0;
            $likely += $end <= $table->overBy(50) + 1 ? 1 : 0;
        }
    }
    expect($late / $all)
        ->toBeBetween(0.85, 0.95)
        ->and($likely / $all)
        ->toBeBetween(0.44, 0.56);
});

test('a key that nobody knows and a range backwards are refused at their lines', function (string $step, string $code): void {
    $read = TimetableFile::read(
        "runs:\n  - run: larder\n    steps:\n      - {$step}\n",
        (string) file_get_contents('core/BringUp/schema/timetable.schema.json'),
        'x',
    );
    expect($read->timetable)
        ->toBeNull()
        ->and($read->findings->codes())
        ->toBe([$code])
        ->and($read->findings->list[0]->place?->line)
        ->toBe(4);
})->with([
    ['{id: card, hand_s: 60}', 'yaml.schema'],
    ['{id: card, hands_s: 60, wait_s: [900, 300]}', 'bringup.wait_backwards'],
]);
