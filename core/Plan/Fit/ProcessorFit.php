<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** Speed of the board against what the jobs want. */
final readonly class ProcessorFit implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    /**
     * Speed that all jobs want together: the dearest in full, each further one by half, as they are rarely busy at
     * once.
     */
    public function wanted(): float
    {
        $speeds = array_map(fn (Job $job): float => $job->speed, $this->plan->jobs);
        rsort($speeds);

        return $speeds[0] + array_sum(array_slice($speeds, 1)) / 2;
    }

    public function level(): Level
    {
        $share = $this->plan->board->speed / $this->wanted();

        return match (true) {
            $share >= 1 => Level::RunsWell,
            $share >= 0.5 => Level::RunsSlowly,
            $share >= 0.2 => Level::Unusable,
            default => Level::DoesNotRun,
        };
    }

    public function working(): Working
    {
        return Working::of(
            'plan.processor',
            'Speed wanted, single-core board = 1',
            number_format($this->wanted(), 1, '.', '').
                ' of '.
                number_format($this->plan->board->speed, 1, '.', ''),
            Source::catalogue('relative speeds, single-core board = 1'),
            ...array_map(
                fn (Job $job): Line => Line::given(
                    $job->label,
                    (string) $job->speed,
                    'runs well from this speed on',
                ),
                $this->plan->jobs,
            ),
            ...[
                Line::computed(
                    'together',
                    'the dearest + half of each other',
                    number_format($this->wanted(), 1, '.', ''),
                ),
                Line::given($this->plan->board->label, (string) $this->plan->board->speed, 'catalogue'),
            ],
        );
    }

    public function finding(): Finding
    {
        $what =
            count($this->plan->jobs) === 1
                ? $this->plan->jobs[0]->label
                : count($this->plan->jobs).' jobs together';
        $board = $this->plan->board->label;

        return match ($this->level()) {
            Level::RunsWell => FitFindings::processorFits($what),
            Level::RunsSlowly => FitFindings::processorSlow($what, $board),
            Level::Unusable => FitFindings::processorWeak($what, $board),
            Level::DoesNotRun => FitFindings::processorTooWeak($what, $board),
        };
    }

    public function judge(): Findings
    {
        return Findings::of($this->finding());
    }

    public function workings(): array
    {
        return [$this->working()];
    }
}
