<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Judgement\Finding;
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
                $findings = $findings->and([
                    Finding::warn(
                        'plan.not_to_be_had',
                        "{$part->label} is not to be had at the moment.",
                        'A plan that waits for a part is no plan.',
                        'The next best is among the ways out.',
                    ),
                ]);
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
