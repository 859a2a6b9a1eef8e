<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

/** What becomes of an evening when one of its waits takes longer than it was expected to. */
final readonly class Longer
{
    /** Minutes that are tried for when the end moves, and no further. */
    private const FARTHEST = 60;

    private const MINUTE = 60.0;

    /** Steps that are set for each of the evenings that are held against one another. */
    private const TRIED = 40_000;

    /**
     * @param  Timetable  $then  laid out anew with the longer wait
     * @param  float  $later  seconds by which all is over later
     * @param  ?int  $spare  whole minutes that it may take longer before the end moves by a minute; null when it never
     *                       does within an hour
     */
    private function __construct(
        public Slot $wait,
        public float $more,
        public Timetable $then,
        public float $later,
        public ?int $spare,
    ) {
    }

    /**
     * @param  list<Lane>  $lanes  of the evening
     * @param  float  $walk  seconds from one place to another
     * Evenings are laid out with less search than the one that is shown, and held against one of the same search.
     * @param  Slot  $wait  a step of these lanes with a wait
     * @param  float  $more  seconds that it takes longer
     */
    public static function of(array $lanes, float $walk, Slot $wait, float $more): self
    {
        $later = fn (float $seconds): Timetable => Timetable::of(
            self::with($lanes, $wait, $seconds),
            $walk,
            self::TRIED,
        );
        $end = $later(0)->finish();
        $moves = fn (int $minutes): bool => $later($minutes * self::MINUTE)->finish() - $end >= self::MINUTE;
        $spare = null;
        if ($moves(self::FARTHEST)) {
            [$spare, $over] = [0, self::FARTHEST];
            while ($over - $spare > 1) {
                $middle = intdiv($spare + $over, 2);
                $moves($middle) ? ($over = $middle) : ($spare = $middle);
            }
        }
        $then = $later($more);

        return new self($wait, $more, $then, max(0.0, $then->finish() - $end), $spare);
    }

    /**
     * @param  list<Lane>  $lanes
     * @return list<Lane>
     */
    private static function with(array $lanes, Slot $wait, float $more): array
    {
        return array_map(
            fn (Lane $lane): Lane => $lane->run !== $wait->run
                ? $lane
                : new Lane(
                    $lane->run,
                    array_map(
                        fn (Task $task): Task => $task->id !== $wait->task->id
                            ? $task
                            : new Task(
                                $task->id,
                                $task->hands,
                                $task->wait + $more,
                                $task->holds,
                                $task->place,
                                $task->between === null
                                    ? null
                                    : [$task->between[0] + $more, $task->between[1] + $more],
                            ),
                        $lane->tasks,
                    ),
                ),
            $lanes,
        );
    }
}
