<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** Another program was first at the port. */
final class PortTaken extends Fault
{
    public function name(): string
    {
        return 'port-taken';
    }

    public function label(): string
    {
        return 'another program has its port';
    }

    public function page(): array
    {
        return [200, 'It works'];
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'another page',
            'units' => 'failed',
            'listening' => 'another program on its port',
            'changed' => 'an installer ran',
        ];
    }
}
