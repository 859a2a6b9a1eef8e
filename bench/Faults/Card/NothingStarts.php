<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

use Bench\Faults\Fault;

/** Faults of what the board starts from: it has power, and finds no system. */
abstract class NothingStarts extends Fault
{
    public function findsSystem(): bool
    {
        return false;
    }
}
