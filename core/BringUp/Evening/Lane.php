<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

/** One run of the evening: its steps, one after the other. */
final readonly class Lane
{
    /** @param  list<Task>  $tasks */
    public function __construct(public string $run, public array $tasks)
    {
    }

    public function hands(): float
    {
        return array_sum(array_map(fn (Task $task): float => $task->hands, $this->tasks));
    }

    public function length(): float
    {
        return array_sum(array_map(fn (Task $task): float => $task->length(), $this->tasks));
    }
}
