<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Models\Box;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Countdown;
use Burrow\BringUp\StartStage;
use Burrow\BringUp\Step\Step;
use DateTimeImmutable;

/** How long the steps of a run take: as is usual, as measured here before, and what is left of those that run. */
final readonly class RunTimes
{
    /** A time teaches when it lies between these shares of the shortest and the longest that is usual. */
    private const SOONEST = 0.25;

    private const LATEST = 1.5;

    public function __construct(private RunBook $book)
    {
    }

    /** Null for a step that does not wait or has not begun. */
    public function countdown(RunStep $step): ?Countdown
    {
        $played = $this->book->step($step);
        if ($played->waitTo === null || $step->began_at === null) {
            return null;
        }
        $measured = $this->measured($played);

        return Countdown::of(
            $played,
            $step->began_at->toDateTimeImmutable(),
            new DateTimeImmutable(),
            array_column($measured, 'seconds'),
            $this->speed(),
            array_column($measured, 'on'),
        );
    }

    /**
     * What a step still takes: seconds of somebody's hands, then seconds by itself, as measured here before or as is
     * usual. Of one that runs only the rest of its wait is left.
     *
     * @return array{float, float}
     */
    public function left(RunStep $step): array
    {
        $played = $this->book->step($step);
        $running = $this->countdown($step);
        if ($running !== null) {
            return [0.0, $running->remaining->seconds];
        }
        if ($played->waitTo === null || $played->waitFrom === null) {
            return [$played->hands->seconds, 0.0];
        }
        $measured = array_column($this->measured($played), 'seconds');

        return [
            $played->hands->seconds,
            $measured === []
                ? ($played->waitFrom->seconds + $played->waitTo->seconds) / 2 / $this->speed()
                : array_sum($measured) / count($measured),
        ];
    }

    private function speed(): float
    {
        $speed = $this->book->run->learned['speed'] ?? 1;

        return is_numeric($speed) && $speed > 0 ? (float) $speed : 1.0;
    }

    /**
     * How long this step took on boxes of the same class, in seconds: until the box answered, where that was watched,
     * else until somebody said so. Whoever comes back much later than expected
     * has measured the coffee and not the box, and whoever presses “Done” at once has measured nothing; such times do
     * not count.
     *
     * @return list<array{seconds: float, on: string}> the newest first, each with its box and day
     */
    private function measured(Step $played): array
    {
        $box = $this->book->run->box;
        $longest = (($played->waitTo->seconds ?? 0) * self::LATEST) / $this->speed();
        $shortest = (($played->waitFrom->seconds ?? 0) * self::SOONEST) / $this->speed();
        $times = RunStep::query()
            ->where('step', $played->id)
            ->where('state', RunStep::DONE)
            ->whereNotNull('began_at')
            ->where('run_id', '!=', $this->book->run->id)
            ->whereIn(
                'run_id',
                Run::query()
                    ->select('id')
                    ->whereIn(
                        'box_id',
                        Box::query()
                            ->select('id')
                            ->where('board', $box->board)
                            ->where('on_bench', $box->on_bench),
                    ),
            )
            ->with('run.box:id,name')
            ->latest('id')
            ->limit(10)
            ->get()
            ->map(
                fn (RunStep $step): array => [
                    'seconds' => (float) ($step->stages[StartStage::Login->value] ??
                            $step->began_at?->diffInSeconds($step->finished_at)),
                    'on' => (string) $step->run->box->name.
                        ', '.
                        $step->began_at?->setTimezone(Network::zone())->format('j M Y'),
                ],
            )
            ->filter(fn (array $one): bool => $one['seconds'] > $shortest && $one['seconds'] <= $longest);

        return array_values($times->all());
    }
}
