<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Judgement\Finding;

/** Something that is shown once: where it was put is written down, never what it is. */
final class ShownOnce extends Told
{
    public const FIELD = 'kept_at';

    public function name(): string
    {
        return 'shown-once';
    }

    public function place(): StepPlace
    {
        return StepPlace::Hand;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::line(
                self::FIELD,
                'Where you put it',
                'password manager, entry …',
                'The place, never the secret itself.',
            ),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $where = $at->given(self::FIELD);
        $wrong = self::wrong($where, self::FIELD);
        if ($wrong !== null) {
            return Outcome::notYet($wrong);
        }

        return Outcome::over(
            'kept: '.mb_strimwidth($where, 0, 80, '…'),
            learned: new Learned(
                answers: [$at->step->more->job => ["{$at->step->id} kept at" => mb_substr($where, 0, 120)]],
            ),
        );
    }

    /** A place is a phrase; one long word that mixes letters with digits or signs is rather the secret. */
    public static function wrong(string $where, string $field): ?Finding
    {
        return match (true) {
            mb_strlen($where) < 4 => BringUpFindings::whereKept($field),
            preg_match('/^(?=\S*[0-9$!%&?#*+=_@])(?=\S*[A-Za-z])\S{8,}$/D', $where) === 1 => BringUpFindings::looksSecret($field),
            default => null,
        };
    }
}
