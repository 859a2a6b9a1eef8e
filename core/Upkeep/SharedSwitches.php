<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\PowerGraph;
use Burrow\Judgement\Findings;

/** Switches and strips that carry several boxes. */
final readonly class SharedSwitches implements Concern
{
    public function findings(Household $house): Findings
    {
        return self::of($house->power($house->standing()));
    }

    public static function of(PowerGraph $power): Findings
    {
        $findings = [];
        foreach ($power->switches() as $switch) {
            $dark = $power->goDark($switch);
            if (count($dark) > 1) {
                $findings[] = UpkeepFindings::sharedSwitch($switch, $dark);
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
