<?php

declare(strict_types=1);

namespace Bench\Faults\Power;

use Bench\Faults\Fault;

/** Something plugged in holds the board half awake. */
final class BackFeed extends Fault
{
    public function name(): string
    {
        return 'back-feed';
    }

    public function label(): string
    {
        return 'a device feeds power back';
    }

    public function starts(): bool
    {
        return false;
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it comes and goes',
            'power-light' => 'lit even with the plug out',
            'activity-light' => 'dark from the start',
            'restarts' => 'three starts today',
            'unplugged' => 'now it is well',
            'power-flags' => '0x50000',
        ];
    }
}
