<?php

declare(strict_types=1);

namespace Bench\Faults;

/** The network cable is not in, or one of its ends is loose. */
final readonly class NoCable implements Fault
{
    public function name(): string
    {
        return 'no-cable';
    }

    public function label(): string
    {
        return 'the network cable is not in';
    }

    public function starts(): bool
    {
        return true;
    }

    public function hasCable(): bool
    {
        return false;
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
