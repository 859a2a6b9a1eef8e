<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** Faults of what the box is to do: it lets people in, and nothing else answers. */
abstract class ServiceGone extends Fault
{
    public function opens(int $port): bool
    {
        return $port === 22;
    }
}
