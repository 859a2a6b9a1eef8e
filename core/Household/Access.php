<?php

declare(strict_types=1);

namespace Burrow\Household;

/** What stands between somebody who reaches a port and what is behind it. */
enum Access: string
{
    /** Whoever comes first becomes its administrator. */
    case Unclaimed = 'unclaimed';
    case NoLogin = 'none';
    case DefaultLogin = 'default';
    case Changed = 'changed';
    case SecondFactor = 'second';
    /** Only with a key that was given to a device. */
    case KeysOnly = 'keys';

    public function label(): string
    {
        return match ($this) {
            self::Unclaimed => 'unclaimed',
            self::NoLogin => 'no login',
            self::DefaultLogin => 'default login',
            self::Changed => 'login changed',
            self::SecondFactor => 'second factor',
            self::KeysOnly => 'keys only',
        };
    }

    /** Anybody who reaches it is in, now or with what stands in a manual. */
    public function isOpenToAll(): bool
    {
        return $this === self::Unclaimed || $this === self::DefaultLogin;
    }
}
