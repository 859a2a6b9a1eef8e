<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** An installer wrote network settings of its own. */
final class InstallerNetwork extends Fault
{
    public function name(): string
    {
        return 'installer-network';
    }

    public function label(): string
    {
        return 'an installer rewrote its network';
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
            'changed' => 'an installer ran',
        ];
    }
}
