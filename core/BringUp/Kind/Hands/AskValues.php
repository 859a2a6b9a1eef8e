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
use Burrow\BringUp\Told\AskedValue;
use Burrow\Judgement\Findings;

/**
 * What only the person knows, from the service's own documentation: asked once with its reason, kept with the box.
 */
final class AskValues extends Told
{
    public function name(): string
    {
        return 'values';
    }

    public function place(): StepPlace
    {
        return StepPlace::Hand;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return array_map(
            fn (AskedValue $asked): StepField => $asked->kind->isLong()
                ? StepField::text(
                    self::field($asked),
                    $asked->label,
                    $asked->example,
                    $asked->why,
                    $asked->default,
                )
                : StepField::line(
                    self::field($asked),
                    $asked->label,
                    $asked->example,
                    $asked->why,
                    $asked->default,
                ),
            $step->more->asks,
        );
    }

    public function judge(Judging $at): Outcome
    {
        $values = $kept = [];
        $wrong = Findings::of();
        foreach ($at->step->more->asks as $asked) {
            $typed = $at->given(self::field($asked));
            $value = $typed === '' ? null : $asked->kind->normal($typed);
            if ($value === null) {
                $wrong = $wrong->and(
                    Findings::of(BringUpFindings::valueNotFit($asked, $typed, self::field($asked))),
                );

                continue;
            }
            $kept[$asked->name] = $value;
            $values[$at->step->scoped($asked->name)] = $value;
        }
        if ($wrong->blocks()) {
            return Outcome::notYet($wrong);
        }

        return Outcome::over(
            mb_strimwidth(
                implode(', ', array_map(fn (string $one): string => strtok($one, "\n") ?: '', $kept)),
                0,
                120,
                '…',
            ),
            values: $values,
            learned: new Learned(answers: [$at->step->more->job => $kept]),
        );
    }

    public static function field(AskedValue $asked): string
    {
        return "asked_{$asked->name}";
    }
}
