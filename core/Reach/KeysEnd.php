<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Keys of programs and accounts that end soon, or have ended. */
final readonly class KeysEnd implements Concern
{
    /** Days before its end when somebody should look (common practice). */
    private const SOON = 14;

    public function findings(Household $house): Findings
    {
        $found = [];
        $today = $house->now->setTime(0, 0);
        foreach ($house->waysIn() as $way) {
            if ($way->ends !== null && $way->ends <= $today->modify('+'.self::SOON.' days')) {
                $found[] = ReachFindings::keyEnds($way, $way->ends->format('Y-m-d'), $way->ends < $today);
            }
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
