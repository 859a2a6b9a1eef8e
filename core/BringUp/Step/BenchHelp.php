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

    /** The command that tells how far a long step is, typed and pasted in the same way. */
    case LookIn = 'look-in';

    /** The router takes the reservation, and the step is over. */
    case Reserve = 'reserve';

    /** The router lets the step's port in, and the step is over. */
    case Open = 'open';

    /** The page of the board gets its owner. The step stays open. */
    case Claim = 'claim';

    /** The board of the box that is moved away from loses its power, in order. The step stays open. */
    case OldOff = 'old-off';

    /** The card of the board goes into another one. The step stays open. */
    case Across = 'across';

    /** The board gets another card, made as the step says. The step stays open. */
    case OtherCard = 'other-card';

    /** Another disk is plugged in beside the one that is there. The step stays open. */
    case PlugIn = 'plug-in';

    /** The disk that is away by the record comes out. The step stays open. */
    case PlugOut = 'plug-out';

    /** A supply that sagged or a case that was too hot is another one. The step stays open. */
    case OtherPart = 'other-part';

    public function label(): string
    {
        return match ($this) {
            self::Power => 'Power on the bench board',
            self::Type => 'Type it on the bench board',
            self::LookIn => 'Look in on the bench board',
            self::Claim => 'Claim it on the bench board',
            self::OldOff => 'Shut the old bench board down',
            self::Open => 'Open it in the bench\'s router',
            self::Across => 'Put it into another bench board',
            self::OtherCard => 'Put the other card into the bench board',
            self::PlugIn => 'Plug it into the bench board',
            self::PlugOut => 'Unplug it from the bench board',
            self::OtherPart => 'Change it on the bench board',
            self::Reserve => 'Enter it in the bench\'s router',
        };
    }
}
