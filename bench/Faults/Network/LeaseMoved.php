<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** Nothing pinned it, and its lease ran out. */
final class LeaseMoved extends Fault
{
    public function name(): string
    {
        return 'lease-moved';
    }

    public function label(): string
    {
        return 'the router gave it another address';
    }

    public function isMoved(): bool
    {
        return true;
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'router-list' => 'in the list at another address',
        ];
    }
}
