<?php

declare(strict_types=1);

namespace Bench\Faults;

/** The service of remote login did not start. */
final readonly class NoRemoteLogin implements Fault
{
    public function name(): string
    {
        return 'no-remote-login';
    }

    public function label(): string
    {
        return 'remote login does not start';
    }

    public function starts(): bool
    {
        return true;
    }

    public function hasCable(): bool
    {
        return true;
    }

    public function slowness(): float
    {
        return 1.0;
    }

    public function opens(int $port): bool
    {
        return $port !== 22;
    }
}
