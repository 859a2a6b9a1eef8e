<?php

declare(strict_types=1);

use Burrow\BringUp\Evening\Lane;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;

// Several runs with one pair of hands: valid always, and near the best that an exhaustive search finds.

/** @return list<Lane> */
function evening(int $runs, int $steps): array
{
    $lanes = [];
    for ($run = 0; $run < $runs; $run++) {
        $tasks = [];
        for ($step = 0; $step < $steps; $step++) {
            $tasks[] = new Task(
                "s{$step}",
                mt_rand(0, 6) * 20,
                mt_rand(0, 2) ? mt_rand(0, 30) * 20 : 0,
                mt_rand(0, 5) ? [] : ['reader'],
                mt_rand(0, 3) ? 'desk' : 'attic',
            );
        }
        $lanes[] = new Lane("r{$run}", $tasks);
    }

    return $lanes;
}

test(
    'no two steps have the hands at once, no thing is held twice, and every run keeps its order',
    function (): void {
        mt_srand(12);
        for ($i = 0; $i < 25; $i++) {
            $lanes = evening(mt_rand(1, 8), mt_rand(1, 12));
            $walk = mt_rand(0, 1) * 40;
            $timetable = Timetable::of($lanes, $walk);
            $slots = $timetable->slots;
            expect(count($slots))->toBe(array_sum(array_map(fn (Lane $lane): int => count($lane->tasks), $lanes)));
            foreach ($lanes as $lane) {
                $own = array_values(array_filter($slots, fn (Slot $slot): bool => $slot->run === $lane->run));
                usort(
                    $own,
                    fn (Slot $one, Slot $other): int => (int) substr($one->task->id, 1) <=>
                        (int) substr($other->task->id, 1),
                );
                foreach (array_slice($own, 1) as $at => $slot) {
                    expect($slot->start)->toBeGreaterThanOrEqual($own[$at]->end() - 1e-6);
                }
            }
            $handed = array_values(array_filter($slots, fn (Slot $slot): bool => $slot->task->hands > 0));
            foreach (array_slice($handed, 1) as $at => $slot) {
                $away = $slot->task->place !== $handed[$at]->task->place ? $walk : 0;
                expect($slot->start)->toBeGreaterThanOrEqual($handed[$at]->handsEnd() + $away - 1e-6);
            }
            $reading = array_values(
                array_filter(
                    $slots,
                    fn (Slot $slot): bool => $slot->task->holds !== [] && $slot->task->length() > 0,
                ),
            );
            foreach (array_slice($reading, 1) as $at => $slot) {
                expect($slot->start)->toBeGreaterThanOrEqual($reading[$at]->end() - 1e-6);
            }
            expect($timetable->finish())->toBeLessThanOrEqual(
                $timetable->oneAfterAnother() + $walk * count($slots) + 1e-6,
            );
        }
    },
);

test('an exhaustive search finds nothing that is shorter by more than five per cent', function (): void {
    mt_srand(5);
    $cases = [];
    for ($i = 0; $i < 30; $i++) {
        $lanes = evening(mt_rand(2, 5), mt_rand(4, 8));
        $cases[] = [
            'finish' => Timetable::of($lanes)->finish(),
            'lanes' => array_map(
                fn (Lane $lane): array => array_map(
                    fn (Task $task): array => [
                        'hands' => $task->hands,
                        'wait' => $task->wait,
                        'holds' => $task->holds,
                    ],
                    $lane->tasks,
                ),
                $lanes,
            ),
        ];
    }
    // Depth first over all orders, leaving what cannot be shorter and what is no better than a state seen before; null
    // where that is not through in time.
    $said = json_decode(
        run('/usr/bin/python3 tests/Outside/evening.py', (string) json_encode($cases))['out'],
        true,
    );
    expect(array_filter($said, fn (?bool $shorter): bool => $shorter === true))
        ->toBe([])
        ->and(count(array_filter($said, fn (?bool $shorter): bool => $shorter === false)))
        ->toBeGreaterThan(24);
});

test('playbooks as they are make an evening', function (): void {
    $steps = fn (string $job): array => json_decode(run("./burrow playbook {$job} --json")['out'], true)['steps'];
    $file = scratch().'/evening.json';
    file_put_contents(
        $file,
        json_encode([
            'runs' => [
                ['run' => 'larder', 'steps' => $steps('file-store')],
                ['run' => 'sieve', 'steps' => $steps('dns-filter')],
            ],
        ]),
    );
    $said = run("./burrow timetable {$file} --json");
    $json = json_decode($said['out'], true);
    expect($said['exit'])
        ->toBe(0)
        ->and(array_keys($json))
        ->toContain('steps', 'finish_s', 'finish_early_s', 'finish_likely_s', 'finish_late_s')
        ->and($json['finish_late_s'])
        ->toBeGreaterThan($json['finish_early_s'])
        ->and($json['finish_s'])
        ->toBeLessThan($json['one_after_another_s'])
        ->toBeGreaterThanOrEqual($json['hands_s'])
        ->and(run("./burrow timetable {$file}")['out'])
        ->toContain('one after the other it would take');
    file_put_contents($file, "runs:\n  - run: x\n    steps:\n      - {id: a, hands_s: -3}\n");
    expect(run("./burrow timetable {$file}"))
        ->toMatchArray(['exit' => 1])
        ->and(run('./burrow timetable /nonexistent')['exit'])
        ->toBe(2);
});
