<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Network\NoAddress;

/** A line without nofail waits for a disk that is not there. */
final class DiskStops extends NoAddress
{
    public function name(): string
    {
        return 'disk-stops';
    }

    public function label(): string
    {
        return 'a missing disk stops its start';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'router-list' => 'not in the list',
            'disk-lead' => 'loose at its end',
            'screen' => 'You are in emergency mode',
            'card-read' => 'a disk’s line without nofail',
            'changed' => 'it was carried to another shelf',
        ];
    }
}
