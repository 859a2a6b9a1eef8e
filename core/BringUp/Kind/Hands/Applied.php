<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;

/** A change on a page where saved is not applied: each wants the second button. */
final class Applied extends Told
{
    public const FIELD = 'buttons';

    public function __construct(
        private readonly string $name = 'saved-applied',
        private readonly ?BenchHelp $help = null,
        private readonly StepPlace $place = StepPlace::Page,
    ) {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function bench(): ?BenchHelp
    {
        return $this->help;
    }

    public function place(): StepPlace
    {
        return $this->place;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::choice(self::FIELD, 'Which buttons you pressed', [
                'saved' => 'Saved',
                'applied' => 'Saved, then applied, and the page said that it is done',
            ]),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        return match ($at->given(self::FIELD)) {
            'applied' => Outcome::over('saved and applied, by your word'),
            'saved' => Outcome::notYet(BringUpFindings::savedOnly(self::FIELD)),
            default => Outcome::notYet(BringUpFindings::choiceNeeded(self::FIELD)),
        };
    }
}
