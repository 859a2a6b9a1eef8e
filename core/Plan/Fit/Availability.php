<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** Parts of the plan that are not to be had at the moment. */
final readonly class Availability implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function findings(PlanInput $plan): Findings
    {
        $findings = Findings::of();
        foreach (
            [
                $plan->board,
                $plan->supply,
                $plan->cable,
                $plan->drive,
                $plan->card,
                $plan->case,
                $plan->hub,
                $plan->cooling,
                $plan->addOn,
            ] as $part
        ) {
            if ($part !== null && ! $part->market->available) {
                $findings = $findings->and([FitFindings::notToBeHad($part->label)]);
            }
        }

        return $findings;
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function judge(): Findings
    {
        return self::findings($this->plan);
    }
}
