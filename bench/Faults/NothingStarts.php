<?php

declare(strict_types=1);

namespace Bench\Faults;

/** Faults of what the board starts from: it has power, and finds no system. */
abstract class NothingStarts extends Fault
{
    public function findsSystem(): bool
    {
        return false;
    }
}
