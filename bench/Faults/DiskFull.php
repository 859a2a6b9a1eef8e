<?php

declare(strict_types=1);

namespace Bench\Faults;

/** Nothing more can be written. */
final class DiskFull extends Fault
{
    public function name(): string
    {
        return 'disk-full';
    }

    public function label(): string
    {
        return 'its disk is full';
    }

    public function opens(int $port): bool
    {
        return $port === 22;
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'units' => 'failed',
            'listening' => 'nothing on its port',
            'space' => '100 % used',
        ];
    }
}
