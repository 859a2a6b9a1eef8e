<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;

/**
 * A command typed on the box, at the desk or on the router's page. Over unless what was pasted says otherwise; where
 * later commands need what it prints, or the step says what must stand there, the paste is needed.
 */
final class Command extends Told
{
    public function __construct(
        private readonly string $name,
        private readonly StepPlace $place,
        private readonly ?BenchHelp $help = null,
    ) {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function place(): StepPlace
    {
        return $this->place;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return match (true) {
            $step->more->wantsPaste() => [Pasted::answer()],
            $step->command === '' => [],
            default => [Pasted::ifOtherwise()],
        };
    }

    public function bench(): ?BenchHelp
    {
        return $this->help;
    }

    public function judge(Judging $at): Outcome
    {
        return Pasted::judge($at);
    }
}
