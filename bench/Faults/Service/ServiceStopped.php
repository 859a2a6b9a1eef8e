<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** The service ended with an error. */
final class ServiceStopped extends ServiceGone
{
    public function name(): string
    {
        return 'service-stopped';
    }

    public function label(): string
    {
        return 'its service stopped';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'units' => 'failed',
            'listening' => 'nothing on its port',
            'changed' => 'settings were edited',
        ];
    }
}
