<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** Port 22 is asked where the box was found. */
final readonly class AskLogin implements StepKind
{
    public function name(): string
    {
        return 'ask-login';
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
        $found = $at->facts->found();

        return $found === null ? Outcome::notYet(BringUpFindings::noAddress()) : Door::ask($at, $found);
    }
}
