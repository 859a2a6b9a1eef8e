<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\BringUp\Step\BringUpFindings;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Boxes of which something was left open when they were brought up. */
final readonly class Unfinished implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->standing() as $box) {
            $open = $box->passedOver + $box->unfinishedJobs;
            if ($open > 0) {
                $findings[] = BringUpFindings::unfinished($box->name, $open);
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
