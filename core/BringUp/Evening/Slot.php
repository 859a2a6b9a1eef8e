<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

/** When a step is due. */
final readonly class Slot
{
    /** @param  float  $start  seconds from the beginning of the evening */
    public function __construct(public string $run, public Task $task, public float $start)
    {
    }

    public function handsEnd(): float
    {
        return $this->start + $this->task->hands;
    }

    public function end(): float
    {
        return $this->start + $this->task->length();
    }
}
