<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** The service came back on another port. */
final class OtherPort extends ServiceGone
{
    public function name(): string
    {
        return 'other-port';
    }

    public function label(): string
    {
        return 'its service listens on another port';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'listening' => 'the service on another port',
            'changed' => 'an update ran',
        ];
    }
}
