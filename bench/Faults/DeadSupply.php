<?php

declare(strict_types=1);

namespace Bench\Faults;

/** The supply gives nothing, or the board is broken: no light comes on. */
final readonly class DeadSupply implements Fault
{
    public function name(): string
    {
        return 'dead-supply';
    }

    public function label(): string
    {
        return 'no light comes on';
    }

    public function starts(): bool
    {
        return false;
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
        return true;
    }
}
