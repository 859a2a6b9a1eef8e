<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** The service is bound to 127.0.0.1. */
final class LoopbackOnly extends ServiceGone
{
    public function name(): string
    {
        return 'loopback-only';
    }

    public function label(): string
    {
        return 'its service listens to itself only';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'listening' => 'the service on 127.0.0.1',
        ];
    }
}
