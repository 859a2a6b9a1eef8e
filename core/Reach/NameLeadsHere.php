<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** The name of the house leads somewhere else: nobody comes in by it. */
final readonly class NameLeadsHere implements Concern
{
    public function findings(Household $house): Findings
    {
        $name = $house->outsideName();

        return $name?->wrongSince === null
            ? Findings::of()
            : Findings::of(ReachFindings::nameElsewhere($name));
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
