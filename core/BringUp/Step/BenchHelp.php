<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** What the bench can do in a person's stead. */
enum BenchHelp: string
{
    /** The board gets its power. The step stays open: it is over when the person says so. */
    case Power = 'power';

    /** The step's command is typed on the board, and what it printed stands in the field. */
    case Type = 'type';

    /** The router takes the reservation, and the step is over. */
    case Reserve = 'reserve';

    /** The router lets the step's port in, and the step is over. */
    case Open = 'open';

    /** The page of the board gets its owner. The step stays open. */
    case Claim = 'claim';

    /** The board of the box that is moved away from loses its power, in order. The step stays open. */
    case OldOff = 'old-off';

    public function label(): string
    {
        return match ($this) {
            self::Power => 'Power on the bench board',
            self::Type => 'Type it on the bench board',
            self::Claim => 'Claim it on the bench board',
            self::OldOff => 'Shut the old bench board down',
            self::Open => 'Open it in the bench\'s router',
            self::Reserve => 'Enter it in the bench\'s router',
        };
    }
}
