<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

/** The kernel gave the interface another name. */
final class InterfaceRenamed extends NoAddress
{
    public function name(): string
    {
        return 'interface-renamed';
    }

    public function label(): string
    {
        return 'its network interface has another name';
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
            'card-read' => 'an interface by a name that may change',
            'screen' => 'eth0: no such device',
            'changed' => 'another board',
        ];
    }
}
