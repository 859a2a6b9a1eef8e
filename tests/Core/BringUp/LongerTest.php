<?php

declare(strict_types=1);

use Burrow\BringUp\Evening\Lane;
use Burrow\BringUp\Evening\Longer;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;

// An evening in which one wait takes longer; every figure can be counted on the fingers.

/** @return list<Lane> a long run, and a short one whose wait has 20 minutes to spare */
function eveningOfTwo(): array
{
    return [
        new Lane('larder', [new Task('card', 60, 600), new Task('upgrade', 60, 1800), new Task('check', 60)]),
        new Lane('wren', [new Task('card', 60, 600), new Task('check', 120)]),
    ];
}

function slotOf(Timetable $timetable, string $run, string $step): Slot
{
    foreach ($timetable->slots as $slot) {
        if ($slot->run === $run && $slot->task->id === $step) {
            return $slot;
        }
    }
    throw new RuntimeException('none');
}

test('a wait on the longest way moves the end by as much', function (): void {
    $planned = Timetable::of(eveningOfTwo());
    expect($planned->finish())->toEqualWithDelta(2580, 1e-6);
    $longer = Longer::of(eveningOfTwo(), 0, slotOf($planned, 'larder', 'upgrade'), 300);
    expect($longer->later)
        ->toEqualWithDelta(300, 1e-6)
        ->and($longer->spare)
        ->toBe(0)
        ->and($longer->then->finish())
        ->toEqualWithDelta(2880, 1e-6);
});

test('a wait with time to spare moves nothing until that is used up', function (): void {
    $planned = Timetable::of(eveningOfTwo());
    $longer = Longer::of(eveningOfTwo(), 0, slotOf($planned, 'wren', 'card'), 300);
    // wren begins second at 60, is over at 720 + 120; until 2580 - 60 for larder's check there is room.
    expect($longer->later)
        ->toBe(0.0)
        ->and($longer->spare)
        ->toBeGreaterThanOrEqual(27)
        ->and($longer->spare)
        ->toBeLessThanOrEqual(29);
    $past = Longer::of(eveningOfTwo(), 0, slotOf($planned, 'wren', 'card'), 60 * ($longer->spare + 2));
    expect($past->later)->toBeGreaterThanOrEqual(60);
});

test(
    'what is held is held longer, and a wait that nobody waits for within the hour says so',
    function (): void {
        $lanes = [
            new Lane('a', [new Task('card', 60, 300, ['card reader']), new Task('in', 30)]),
            new Lane('b', [new Task('card', 60, 300, ['card reader']), new Task('in', 30)]),
        ];
        $planned = Timetable::of($lanes);
        $first = $planned->slots[0];
        expect(Longer::of($lanes, 0, $first, 600)->later)->toEqualWithDelta(600, 31);
        $lanes = [new Lane('a', [new Task('long', 10, 9000)]), new Lane('b', [new Task('short', 10, 60)])];
        $planned = Timetable::of($lanes);
        expect(Longer::of($lanes, 0, slotOf($planned, 'b', 'short'), 300))
            ->spare->toBeNull()
            ->later->toBe(0.0);
    },
);

test('a way to walk is walked only where the hands go elsewhere', function (): void {
    $lanes = [
        new Lane('a', [new Task('in', 60, 0, [], 'shelf'), new Task('login', 60, 0, [], 'desk')]),
        new Lane('b', [new Task('in', 60, 0, [], 'shelf'), new Task('login', 60, 0, [], 'desk')]),
    ];
    // Both cards first, then one walk to the desk.
    expect(Timetable::of($lanes, 90)->finish())
        ->toEqualWithDelta(240 + 90, 1e-6)
        ->and(Timetable::of($lanes, 0)->finish())
        ->toEqualWithDelta(240, 1e-6);
});

/** @return list<Lane> six runs of seven steps, with one card reader and two places */
function drawnEvening(int $seed): array
{
    mt_srand($seed);
    $lanes = [];
    foreach (['larder', 'sieve', 'lantern', 'wren', 'press', 'dewpoint'] as $run) {
        $tasks = [];
        foreach (range(1, 7) as $step) {
            $tasks[] = new Task(
                "s{$step}",
                mt_rand(0, 3) === 0 ? 0 : mt_rand(1, 300),
                mt_rand(0, 2) === 0 ? 0 : mt_rand(30, 1200),
                mt_rand(0, 3) === 0 ? ['reader'] : [],
                ['', 'desk', 'box'][mt_rand(0, 2)],
            );
        }
        $lanes[] = new Lane($run, $tasks);
    }

    return $lanes;
}

test('an evening of many steps is the same each time it is worked out', function (
    int $seed,
    float $walk,
    float $finish,
    string $order,
): void {
    $planned = Timetable::of(drawnEvening($seed), $walk, 40_000);
    $said = implode(
        ' ',
        array_map(
            fn (Slot $one): string => "{$one->run}:{$one->task->id}@".round($one->start),
            $planned->slots,
        ),
    );
    expect([$planned->finish(), hash('xxh32', $said)])
        ->toBe([$finish, $order])
        ->and($planned->finish())
        ->toBeGreaterThanOrEqual(max(array_map(fn (Lane $one): float => $one->length(), drawnEvening($seed))))
        ->toBeLessThan($planned->oneAfterAnother());
})->with([[1, 0, 5773.0, '572136e7'], [2, 60, 8008.0, 'a96417e7'], [3, 20, 7790.0, '391f279e']]);
