<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** The router's page is told which address belongs to this hardware address. */
final readonly class Reserve implements StepKind
{
    public function name(): string
    {
        return 'reserve';
    }

    public function place(): StepPlace
    {
        return StepPlace::Router;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [Pasted::ifOtherwise()];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Reserve;
    }

    public function judge(Judging $at): Outcome
    {
        return Pasted::judge($at);
    }
}
