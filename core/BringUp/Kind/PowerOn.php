<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** Everything is plugged in, the power last. */
final readonly class PowerOn implements StepKind
{
    public function name(): string
    {
        return 'power-on';
    }

    public function place(): StepPlace
    {
        return StepPlace::Hand;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Power;
    }

    public function judge(Judging $at): Outcome
    {
        return Outcome::over('done, by your word');
    }
}
