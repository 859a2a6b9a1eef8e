<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;

/**
 * Another card for a box, or drive that it starts from: one that was copied keeps its keys, one from an image makes new
 * ones.
 */
final class CardMade extends Told
{
    public const FIELD = 'card_made';

    public function name(): string
    {
        return 'card-made';
    }

    public function place(): StepPlace
    {
        return StepPlace::Desk;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::choice(self::FIELD, 'How it was made', [
                'copied' => 'The old one copied onto it, whole',
                'image' => 'Written from an image',
            ]),
        ];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::OtherCard;
    }

    public function judge(Judging $at): Outcome
    {
        return match ($at->given(self::FIELD)) {
            'copied' => Outcome::over('copied whole'),
            'image' => Outcome::over('written from an image', learned: new Learned(cardWritten: true)),
            default => Outcome::notYet(BringUpFindings::choiceNeeded(self::FIELD)),
        };
    }
}
