<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The desk computer has no multicast resolver. */
final class NoMdns extends Fault
{
    public function name(): string
    {
        return 'no-mdns';
    }

    public function label(): string
    {
        return 'the desk cannot resolve .local';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'names fail',
            'name' => 'no answer by name, an answer by number',
            'other-client' => 'it works on the phone',
            'changed' => 'another desk computer',
        ];
    }
}
