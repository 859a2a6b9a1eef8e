<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Accounts that are administrators of a box by the group of its container engine. */
final readonly class EngineGroups implements Concern
{
    public function findings(Household $house): Findings
    {
        $found = [];
        foreach ($house->engineGroups() as $one) {
            $one->accounts === [] ||
                ($found[] = PortFindings::engineGroup($one->box, $one->group, $one->accounts));
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
