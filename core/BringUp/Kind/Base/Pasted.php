<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Base;

use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\StepField;
use Burrow\Intake\Reading;
use Burrow\Intake\Refusals;
use Burrow\Judgement\Findings;

/**
 * What a program printed, pasted back; what it says against the step being over is known by the programs' own words.
 */
final class Pasted
{
    public const FIELD = 'pasted';

    /** Where a command only has to have gone well. */
    public static function ifOtherwise(): StepField
    {
        return StepField::text(self::FIELD, 'What you saw, if it looks otherwise');
    }

    /** Where something is learned from it. */
    public static function answer(): StepField
    {
        return StepField::text(self::FIELD, 'What you saw');
    }

    /** A command that was typed: over unless what was pasted says otherwise. */
    public static function judge(Judging $at): Outcome
    {
        $more = $at->step->more;
        $pasted = $at->given[self::FIELD] ?? '';
        $against = self::against($at, $pasted);
        if ($against->blocks()) {
            return Outcome::notYet($against);
        }
        if (trim($pasted) === '') {
            return $more->wantsPaste()
                ? Outcome::notYet(BringUpFindings::answerNeeded(self::FIELD))
                : Outcome::over('done, by your word');
        }
        if ($more->sees !== '' && ! self::holds($pasted, $at->filled($more->sees))) {
            return Outcome::notYet(BringUpFindings::notSeen($at->filled($more->sees), self::FIELD));
        }
        $reading = $more->reads === '' ? null : self::read($at, $more->reads);
        if ($reading instanceof Outcome) {
            return $reading;
        }
        $values = [];
        foreach ($more->prints as $printed) {
            $value = $printed->in($pasted);
            if ($value === null) {
                return Outcome::notYet(
                    BringUpFindings::valueNotPrinted($printed->label, $printed->after, self::FIELD),
                );
            }
            $values[$at->step->scoped($printed->name)] = $value;
        }

        return Outcome::over(
            $values === [] ? 'done' : implode(', ', array_map(self::short(...), $values)),
            $reading?->findings,
            $values,
        );
    }

    /** The errors that the step itself knows go before those of all programs. */
    public static function against(Judging $at, string $pasted): Findings
    {
        foreach ($at->step->more->errors as $error) {
            if (self::holds($pasted, $error->sees)) {
                return Findings::of(BringUpFindings::knownError($error, self::FIELD));
            }
        }

        return Refusals::in($pasted);
    }

    public static function holds(string $text, string $words): bool
    {
        // A terminal of 80 columns breaks a line anywhere, and a paste may double its blanks.
        $flat = fn (string $one): string => strtolower((string) preg_replace('/\s+/', ' ', mb_scrub($one, 'UTF-8')));

        return str_contains($flat($text), trim($flat($words)));
    }

    /**
     * What a reader made of the paste.
     *
     * @param  string  $kind  of the reader
     * @return Reading|Outcome the outcome when there is nothing to go on with
     */
    public static function read(Judging $at, string $kind): Reading|Outcome
    {
        if ($at->given(self::FIELD) === '') {
            return Outcome::notYet(BringUpFindings::answerNeeded(self::FIELD));
        }
        $reading = $at->intake->read($kind, $at->given[self::FIELD]);
        if (! $reading->findings->blocks() && $reading->facts !== []) {
            return $reading;
        }
        $refused = Refusals::in($at->given[self::FIELD]);

        return Outcome::notYet($refused->blocks() ? $refused : $reading->findings);
    }

    private static function short(string $value): string
    {
        return mb_strimwidth($value, 0, 40, '…');
    }
}
