<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** Started by hand once, never enabled. */
final class NotEnabled extends ServiceGone
{
    public function name(): string
    {
        return 'not-enabled';
    }

    public function label(): string
    {
        return 'its service is not enabled';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'units' => 'inactive (dead), disabled',
            'listening' => 'nothing on its port',
            'changed' => 'the power was cut',
        ];
    }
}
