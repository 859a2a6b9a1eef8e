<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

/** How far a round has come with one box. */
enum StopState: string
{
    case Waiting = 'waiting';

    /** Its commands are being typed; what it answered before is written down. */
    case Begun = 'begun';

    /** It was seen to answer again all that it answered before. */
    case Over = 'over';

    /** It was left out, with its reason. */
    case Left = 'left';

    public function isFinished(): bool
    {
        return $this === self::Over || $this === self::Left;
    }

    public function label(): string
    {
        return match ($this) {
            self::Waiting => 'waits',
            self::Begun => 'under way',
            self::Over => 'works again',
            self::Left => 'left out',
        };
    }
}
