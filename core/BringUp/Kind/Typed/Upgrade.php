<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\Intake\Updates\UpgradeSummary;

/** The system is brought up to date; from what was printed, how many packages that were. */
final class Upgrade extends ReadOnTheBox
{
    public function name(): string
    {
        return 'upgrade';
    }

    public function judge(Judging $at): Outcome
    {
        $learned = new Learned(updated: true);
        if ($at->given(Pasted::FIELD) === '') {
            return Outcome::over('done, by your word', learned: $learned);
        }
        $reading = Pasted::read($at, 'upgrade');
        if ($reading instanceof Outcome) {
            return $reading;
        }
        $summary = $reading->all(UpgradeSummary::class)[0] ?? null;

        return Outcome::over(
            $summary === null ? 'done' : "{$summary->upgraded} packages",
            $reading->findings,
            learned: $learned,
        );
    }
}
