<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** Add-on boards: whether the board has the header, the case the room, and a job the one it wants. */
final readonly class AddOnFit implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function findings(PlanInput $plan): Findings
    {
        $findings = Findings::of();
        $addOn = $plan->addOn;
        if ($addOn !== null && $addOn->pins > $plan->board->headerPins) {
            $findings = $findings->and([FitFindings::addonHeader($addOn, $plan)]);
        }
        if ($addOn !== null && $addOn->plug === 'header' && ! $plan->case->takesAddOn) {
            $findings = $findings->and([FitFindings::addonCase($addOn, $plan)]);
        }
        if (
            array_filter($plan->jobs, fn (Job $job): bool => $job->addOn === 'audio') !== [] &&
            $addOn?->gives !== 'audio'
        ) {
            $findings = $findings->and([FitFindings::builtInAudio()]);
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
