<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Rate;

/** How the box reaches the network, and what hangs on that: disk wanted or not, a copy that is slow. */
final readonly class LinkFit implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function judge(): Findings
    {
        $plan = $this->plan;
        $copy = CopyRate::of($plan);
        $findings = Findings::of();
        if ($plan->megabits() === null) {
            $findings = $findings->and([StorageFindings::noSuchLink($plan)]);
        } elseif (! $plan->link->isCable()) {
            $findings = $findings->and([StorageFindings::wiredBeforeWireless()]);
        }
        $wanted = array_sum(array_map(fn (Job $job): float => $job->networkMegabits, $plan->jobs));
        $brings = CopyRate::ofLink($plan);
        if ($brings !== null && $brings->isBelow(Rate::megabitsPerSecond($wanted))) {
            $findings = $findings->and([StorageFindings::linkSlow($wanted, $plan, $brings)]);
        }
        if ($plan->needsDisk() && $plan->drive === null) {
            $findings = $findings->and([StorageFindings::noDisk()]);
        }
        if (! $plan->needsDisk() && $plan->drive !== null && ! $plan->startsFromDrive()) {
            $findings = $findings->and([StorageFindings::diskNotNeeded($plan->drive)]);
        }
        if ($copy !== null && $plan->needsDisk() && $copy->rate()->inMegabytes() < 5) {
            $findings = $findings->and([StorageFindings::copySlow($copy)]);
        }

        return $findings;
    }
}
