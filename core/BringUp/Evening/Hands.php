<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

/** An evening while it is laid out: how far each run is, and when the hands and each thing are free again. */
final class Hands
{
    private const AIR = 0.02;

    public float $end = 0.0;

    /** @var array<int, float> by run: when its next step can begin */
    private array $ready;

    private float $free = 0.0;

    private string $place = '';

    /** @var array<string, float> by thing: when it is free again */
    private array $things = [];

    /** @param  float  $walk  seconds from one place to another */
    public function __construct(int $runs, private readonly float $walk)
    {
        $this->ready = array_fill(0, $runs, 0.0);
    }

    /** The end, and a little of when each run is over: of two ends alike the one with more air counts. */
    public function value(): float
    {
        return $this->end + (self::AIR * array_sum($this->ready)) / max(1, count($this->ready));
    }

    /** When all that was taken is over. */
    public function over(): float
    {
        return $this->end;
    }

    /** When the next step of a run could begin. */
    public function start(int $run, Task $task): float
    {
        $start = $this->ready[$run];
        if ($task->hands > 0) {
            $free = $this->free + ($this->walk > 0 && $this->isElsewhere($task) ? $this->walk : 0);
            $start = $start > $free ? $start : $free;
        }
        foreach ($task->holds as $thing) {
            $held = $this->things[$thing] ?? 0.0;
            $start = $start > $held ? $start : $held;
        }

        return $start;
    }

    /** Takes the next step of a run as soon as it can begin; when that is. */
    public function take(int $run, Task $task): float
    {
        $start = $this->start($run, $task);
        $over = $start + $task->hands + $task->wait;
        $this->ready[$run] = $over;
        foreach ($task->holds as $thing) {
            $this->things[$thing] = $over;
        }
        if ($task->hands > 0) {
            $this->free = $start + $task->hands;
            $this->place = $task->place === '' ? $this->place : $task->place;
        }
        $this->end = $over > $this->end ? $over : $this->end;

        return $start;
    }

    private function isElsewhere(Task $task): bool
    {
        return $task->place !== '' && $this->place !== '' && $task->place !== $this->place;
    }
}
