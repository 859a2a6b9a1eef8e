<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\StepField;
use Burrow\Intake\Reading;
use Burrow\Intake\Refusals;

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
        $refused = Refusals::in($at->given[self::FIELD] ?? '');
        if ($refused->blocks()) {
            return Outcome::notYet($refused);
        }

        return Outcome::over($at->given(self::FIELD) === '' ? 'done, by your word' : 'done');
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
}
