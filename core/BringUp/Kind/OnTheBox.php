<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** A command typed on the box. */
final readonly class OnTheBox implements StepKind
{
    public function name(): string
    {
        return 'box';
    }

    public function place(): StepPlace
    {
        return StepPlace::Box;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [Pasted::ifOtherwise()];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Type;
    }

    public function judge(Judging $at): Outcome
    {
        return Pasted::judge($at);
    }
}
