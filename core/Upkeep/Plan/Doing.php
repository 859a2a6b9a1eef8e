<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

/** A box in the plan, with its times in Unix seconds. */
final readonly class Doing
{
    public function __construct(public DueBox $box, public int $start)
    {
    }

    public function restarts(): int
    {
        return $this->start + $this->box->update;
    }

    public function end(): int
    {
        return $this->start + $this->box->seconds();
    }
}
