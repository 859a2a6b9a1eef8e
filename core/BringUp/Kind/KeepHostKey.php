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

/** The key that the box shows is written down, so that a stranger in its place is noticed later. */
final readonly class KeepHostKey implements StepKind
{
    public function name(): string
    {
        return 'keep-host-key';
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

        return $found === null ? Outcome::notYet(BringUpFindings::noAddress()) : Door::hostKey($at, $found);
    }
}
