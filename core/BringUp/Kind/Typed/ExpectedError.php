<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;

/** A command that must fail, in just these words: that shows that a guard works. */
final class ExpectedError extends ReadOnTheBox
{
    public function name(): string
    {
        return 'expected-error';
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [StepField::text(Pasted::FIELD, 'The error, as it stands there')];
    }

    public function judge(Judging $at): Outcome
    {
        $expected = $at->filled($at->step->more->sees);

        return Pasted::holds($at->given[Pasted::FIELD] ?? '', $expected)
            ? Outcome::over('refused, as it should be')
            : Outcome::notYet(BringUpFindings::errorDidNotCome($expected, Pasted::FIELD));
    }
}
