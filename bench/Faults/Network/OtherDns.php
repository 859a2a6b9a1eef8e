<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** Clients ask past the filter. */
final class OtherDns extends Fault
{
    public function name(): string
    {
        return 'other-dns';
    }

    public function label(): string
    {
        return 'the router hands out another resolver over IPv6';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'names fail',
            'client-resolver' => 'another one over IPv6',
        ];
    }
}
