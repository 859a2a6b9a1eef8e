<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Plan\Power\Heat;
use Burrow\Plan\Wear\CardWear;
use Burrow\Plan\Wear\DriveWear;

/** Boxes that run too hot in this room, or whose card or drive wears out soon, by what they were planned from. */
final readonly class BoxesAsBuilt implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->standing() as $box) {
            $plan = PlanOfBox::of($box->jobs, $box->parts, $house->shelf);
            if ($plan === null) {
                continue;
            }
            $judged = [
                Heat::of($plan)->finding(),
                ! $plan->startsFromDrive() ? CardWear::of($plan)->finding() : null,
                DriveWear::of($plan)?->finding(),
            ];
            foreach (array_filter($judged) as $finding) {
                if ($finding->severity->rank() >= Severity::Warn->rank()) {
                    $findings[] = $finding->about($box->name);
                }
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
