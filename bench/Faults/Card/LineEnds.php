<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

use Bench\Faults\Network\NoAddress;

/** An editor wrote CRLF. */
final class LineEnds extends NoAddress
{
    public function name(): string
    {
        return 'line-ends';
    }

    public function label(): string
    {
        return 'the settings have line ends of another system';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'router-list' => 'not in the list',
            'card-read' => 'line ends of another system',
            'changed' => 'a new card',
        ];
    }
}
