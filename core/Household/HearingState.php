<?php

declare(strict_types=1);

namespace Burrow\Household;

enum HearingState: string
{
    case Answers = 'answers';

    case Silent = 'silent';

    /** It was asked once, and not for longer than a few intervals. */
    case NotAsked = 'not-asked';

    case NeverAsked = 'never-asked';

    /** The severity that its mark shows. */
    public function mark(): string
    {
        return match ($this) {
            self::Answers => 'fine',
            self::Silent => 'stop',
            self::NotAsked, self::NeverAsked => 'note',
        };
    }
}
