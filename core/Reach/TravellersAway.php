<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Reach\Draw\ReachPicture;

/** Keys of devices that did not come for long: lost, or only resting. */
final readonly class TravellersAway implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->waysIn() as $way) {
            $days = $way->daysAway($house->now);
            // Nobody is told when a program's key was used.
            if ($way->kind === 'tunnel' && $days >= ReachPicture::AWAY_DAYS) {
                $findings[] = ReachFindings::awayFor($way, $days);
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
