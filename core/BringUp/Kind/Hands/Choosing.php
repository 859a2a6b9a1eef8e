<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;

/** What only a person can see, asked as a question whose “no” leads on. */
final class Choosing extends Told
{
    public const FIELD = 'answer';

    public function name(): string
    {
        return 'question';
    }

    public function place(): StepPlace
    {
        return StepPlace::Hand;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::choice(self::FIELD, 'What you saw', [
                'yes' => $step->more->yes === '' ? 'Yes' : $step->more->yes,
                'no' => 'No, or not quite',
            ]),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        return match ($at->given(self::FIELD)) {
            'yes' => Outcome::over('yes, by your word'),
            'no' => Outcome::notYet(
                BringUpFindings::saidNo($at->step->title, $at->filled($at->step->more->no), self::FIELD),
            ),
            default => Outcome::notYet(BringUpFindings::choiceNeeded(self::FIELD)),
        };
    }
}
