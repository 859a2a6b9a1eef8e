<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** Typed or done at the desk computer. */
final readonly class AtTheDesk implements StepKind
{
    public function name(): string
    {
        return 'desk';
    }

    public function place(): StepPlace
    {
        return StepPlace::Desk;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return $step->command === '' ? [] : [Pasted::ifOtherwise()];
    }

    public function bench(): ?BenchHelp
    {
        return null;
    }

    public function judge(Judging $at): Outcome
    {
        return Pasted::judge($at);
    }
}
