<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** Nothing to do but to let time pass. */
final readonly class Wait implements StepKind
{
    public function name(): string
    {
        return 'wait';
    }

    public function place(): StepPlace
    {
        return StepPlace::Wait;
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
        return Outcome::over('done, by your word');
    }
}
