<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The switch lost its supply. */
final class SwitchDead extends Fault
{
    public function name(): string
    {
        return 'switch-dead';
    }

    public function label(): string
    {
        return 'the switch is dead';
    }

    public function hasCable(): bool
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
            'complaint' => 'it answered before and is silent now',
            'link-lights' => 'both dark',
            'router-list' => 'not in the list',
            'other-socket' => 'the lights came on',
            'screen' => 'no carrier',
            'neighbours' => 'some are silent',
            'changed' => 'the power was cut',
        ];
    }
}
