<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** It answers at its own address, with the key that was kept: the reservation holds. */
final readonly class AskPinned implements StepKind
{
    public function name(): string
    {
        return 'ask-pinned';
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
        $outcome = Door::atItsAddress($at);

        return $outcome->over
            ? $outcome->with(Outcome::over($outcome->words, learned: new Learned(pinned: true)))
            : $outcome;
    }
}
