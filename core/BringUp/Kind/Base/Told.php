<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Base;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;

/**
 * What most kinds share: nothing is given back, the bench has nothing to do, and the step is over by the person's word.
 */
abstract class Told implements StepKind
{
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
