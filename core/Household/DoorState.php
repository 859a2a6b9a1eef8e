<?php

declare(strict_types=1);

namespace Burrow\Household;

/** What a TCP probe met: each of the three means something else. */
enum DoorState: string
{
    case Open = 'open';
    case Refused = 'refused';
    case Silent = 'silent';

    /** The severity that its mark shows. */
    public function mark(): string
    {
        return match ($this) {
            self::Open => 'fine',
            self::Refused => 'warn',
            self::Silent => 'stop',
        };
    }
}
