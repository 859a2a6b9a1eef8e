<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
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
            $findings = $findings->and([
                Finding::stop(
                    'plan.addon_header',
                    "{$addOn->label}: it wants a {$addOn->pins}-pin header, and the {$plan->board->label} has ".
                        ($plan->board->headerPins === 0 ? 'none.' : "one of {$plan->board->headerPins} pins."),
                    'It cannot be plugged on.',
                    'Another add-on, one on USB, or another board.',
                ),
            ]);
        }
        if ($addOn !== null && $addOn->plug === 'header' && ! $plan->case->takesAddOn) {
            $findings = $findings->and([
                Finding::warn(
                    'plan.addon_case',
                    "{$addOn->label}: the {$plan->case->label} does not close over it.",
                    'An add-on board no longer fits the plain case (common practice).',
                    'A case with room for it.',
                ),
            ]);
        }
        if (
            array_filter($plan->jobs, fn (Job $job): bool => $job->addOn === 'audio') !== [] &&
            $addOn?->gives !== 'audio'
        ) {
            $findings = $findings->and([
                Finding::note(
                    'plan.built_in_audio',
                    'The built-in audio output is poor.',
                    'A USB converter, an add-on with analogue sockets and one with digital sockets each cost and sound differently (common practice).',
                    'Choose an add-on, or try it first and add one later.',
                ),
            ]);
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
