<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** What needs somebody now: every floor is asked, and the gravest comes first. */
final class Gathering
{
    /**
     * @param  list<Concern>  $concerns
     * @param  bool  $toKeeper  guests are not told everything
     */
    public static function of(array $concerns, Household $house, bool $toKeeper): Findings
    {
        $findings = Findings::of();
        foreach ($concerns as $concern) {
            if ($toKeeper || $concern->isForGuests()) {
                $findings = $findings->and($concern->findings($house));
            }
        }

        return $findings->gravestFirst();
    }
}
