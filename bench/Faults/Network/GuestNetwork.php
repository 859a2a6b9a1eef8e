<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The guest network keeps its clients apart. */
final class GuestNetwork extends Fault
{
    public function name(): string
    {
        return 'guest-network';
    }

    public function label(): string
    {
        return 'it is in the guest network';
    }

    public function isHidden(): bool
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
            'complaint' => 'it is new and does not show up',
            'guest' => 'the box is in the guest network',
            'changed' => 'a new router',
        ];
    }
}
