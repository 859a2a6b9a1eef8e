<?php

declare(strict_types=1);

namespace Bench\Faults;

/** The supply sags, and the board is slow. */
final readonly class WeakSupply implements Fault
{
    public function name(): string
    {
        return 'weak-supply';
    }

    public function label(): string
    {
        return 'the supply is weak: everything is slow';
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
        return 4.0;
    }

    public function opens(int $port): bool
    {
        return true;
    }
}
