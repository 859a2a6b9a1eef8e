<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The router forgot the forward. */
final class NoForward extends Fault
{
    public function name(): string
    {
        return 'no-forward';
    }

    public function label(): string
    {
        return 'the router does not forward the port';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'the tunnel fails',
            'tunnel-status' => 'no handshake',
            'forward' => 'not there',
            'changed' => 'a new router',
        ];
    }
}
