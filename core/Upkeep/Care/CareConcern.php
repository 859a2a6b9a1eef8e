<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Care;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\UpkeepFindings;

/** What the household does by itself and is late, and releases that get no more updates; the rest other floors tell. */
final readonly class CareConcern implements Concern
{
    /** Days before the end of support in which a move is to be planned (common practice). */
    private const SUPPORT = 120;

    public function findings(Household $house): Findings
    {
        $found = [];
        foreach (CareCalendar::of($house) as $due) {
            if ($due->kind === 'own' && $due->daysLeft < 0) {
                $found[] = UpkeepFindings::careLate($due);
            } elseif ($due->kind === 'support' && $due->daysLeft < self::SUPPORT) {
                $found[] = UpkeepFindings::supportEnds($due);
            }
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
