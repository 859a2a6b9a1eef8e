<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** Faults that leave the board without an address of this network. */
abstract class NoAddress extends Fault
{
    public function getsAddress(): bool
    {
        return false;
    }
}
