<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/**
 * What a step does: what it shows, what it takes back, how that is judged, what is learned from it, and how the
 * bench stands in for hands. Playbooks name their kinds; StepKinds lists them all.
 */
interface StepKind
{
    /** The word for it in a playbook. */
    public function name(): string;

    public function place(): StepPlace;

    /**
     * What the person gives back, in the order asked.
     *
     * @param  bool  $onBench  the box stands on the bench, which can be asked without a person
     * @return list<StepField>
     */
    public function takes(Step $step, bool $onBench): array;

    /** What the bench does in the person's stead; null when there is nothing for it to do. */
    public function bench(): ?BenchHelp;

    /** Whether the step is over, what was found, and what may be written into the box's record. */
    public function judge(Judging $at): Outcome;
}
