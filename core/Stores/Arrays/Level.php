<?php

declare(strict_types=1);

namespace Burrow\Stores\Arrays;

/** How several disks are put together (md(4)). */
enum Level: string
{
    case Apart = 'apart';
    case Mirror = 'mirror';
    case Parity = 'parity';
    case DoubleParity = 'double';
    case Mirrors = 'mirrors';

    public function label(): string
    {
        return match ($this) {
            self::Apart => 'each for itself',
            self::Mirror => 'one mirror of all',
            self::Parity => 'parity',
            self::DoubleParity => 'double parity',
            self::Mirrors => 'stripe of mirrors',
        };
    }

    /** Disks that it wants at least. */
    public function least(): int
    {
        return match ($this) {
            self::Apart => 1,
            self::Mirror => 2,
            self::Parity => 3,
            self::DoubleParity, self::Mirrors => 4,
        };
    }

    /** Disks that may end, whichever they are, before something is lost. */
    public function survives(int $disks): int
    {
        return match ($this) {
            self::Apart => 0,
            self::Mirror => $disks - 1,
            self::Parity, self::Mirrors => 1,
            self::DoubleParity => 2,
        };
    }
}
