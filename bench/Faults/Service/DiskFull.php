<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** Nothing more can be written. */
final class DiskFull extends ServiceGone
{
    public function name(): string
    {
        return 'disk-full';
    }

    public function label(): string
    {
        return 'its disk is full';
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
