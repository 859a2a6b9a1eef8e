<?php

declare(strict_types=1);

namespace Burrow\Household;

/** How far a box has come, from its plan to its service. */
enum Stage: string
{
    case Planned = 'planned';

    case Named = 'named';

    case BringingUp = 'bringing-up';

    /** Its run is over, and something of it was passed over or is not in the playbook. */
    case Unfinished = 'unfinished';

    case InService = 'in-service';

    /** It was taken out of service; its card is kept for a while as the way back. */
    case Retired = 'retired';

    /** It stands in the house and is watched. */
    public function stands(): bool
    {
        return $this === self::InService || $this === self::Unfinished;
    }
}
