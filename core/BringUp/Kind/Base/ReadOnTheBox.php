<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Base;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;

/** Typed on the box, and what it printed is read. */
abstract class ReadOnTheBox extends Told
{
    public function place(): StepPlace
    {
        return StepPlace::Box;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [Pasted::answer()];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Type;
    }
}
