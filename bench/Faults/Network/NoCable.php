<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The network cable is not in, or one of its ends is loose. */
final class NoCable extends Fault
{
    public function name(): string
    {
        return 'no-cable';
    }

    public function label(): string
    {
        return 'the network cable is not in';
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
            'complaint' => 'it is new and does not show up',
            'link-lights' => 'both dark',
            'router-list' => 'not in the list',
            'other-cable' => 'the lights came on',
            'screen' => 'no carrier',
        ];
    }
}
