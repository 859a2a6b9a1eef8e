<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Ports that did from outside what the record says they must not: answer, or stay silent. */
final readonly class OutsideAnswers implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach (OutsideTest::plan($house, '') as $test) {
            if ($test->trial !== null && $test->isWrong()) {
                $day = $test->trial->at->format('Y-m-d');
                $findings[] = $test->mustAnswer
                    ? ReachFindings::shutOutside($test, $day)
                    : ReachFindings::answersOutside($test, $day);
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
