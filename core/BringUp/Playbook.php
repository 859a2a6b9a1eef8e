<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\StepTemplate;
use Burrow\Quantity\Duration;

/** The steps that bring up a box for its jobs: the common ones with each job's own between them. */
final readonly class Playbook
{
    /** @param  non-empty-list<StepTemplate>  $steps */
    private function __construct(public array $steps)
    {
    }

    /**
     * A step that several jobs share, by its id, is played once.
     *
     * @param  list<Job>  $jobs
     * @param  non-empty-list<StepTemplate>  $before
     * @param  list<StepTemplate>  $after
     */
    public static function for(array $jobs, array $before, array $after): self
    {
        $steps = [];
        foreach ([...$before, ...array_merge(...array_map(fn (Job $job): array => $job->steps, $jobs)), ...$after] as $step) {
            $steps[$step->id] ??= $step;
        }

        return new self(array_values($steps));
    }

    /** A step by its id; null when the playbook has none of that name (any more). */
    public function step(string $id): ?StepTemplate
    {
        foreach ($this->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }

        return null;
    }

    /**
     * Hands-on time of the steps that are not finished.
     *
     * @param  list<string>  $finished  ids
     */
    public function handsLeft(array $finished): Duration
    {
        return $this->sum($finished, fn (StepTemplate $step): float => $step->hands->seconds);
    }

    /**
     * Waiting time of the steps that are not finished, by the middle of what is expected.
     *
     * @param  list<string>  $finished  ids
     */
    public function waitLeft(array $finished): Duration
    {
        return $this->sum($finished, fn (StepTemplate $step): float => (($step->waitFrom->seconds ?? 0) + ($step->waitTo->seconds ?? 0)) / 2);
    }

    /**
     * @param  list<string>  $finished
     * @param  callable(StepTemplate): float  $time
     */
    private function sum(array $finished, callable $time): Duration
    {
        $open = array_filter($this->steps, fn (StepTemplate $step): bool => ! in_array($step->id, $finished, true));

        return Duration::seconds(array_sum(array_map($time, $open)));
    }
}
