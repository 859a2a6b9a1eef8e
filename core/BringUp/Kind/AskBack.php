<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** It comes back at its own address after a restart. */
final readonly class AskBack implements StepKind
{
    public function name(): string
    {
        return 'ask-back';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [];
    }

    public function bench(): ?BenchHelp
    {
        return null;
    }

    public function judge(Judging $at): Outcome
    {
        return Door::atItsAddress($at);
    }
}
