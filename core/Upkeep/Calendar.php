<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;

/** When each box is due, from its jobs in the catalogue and its last update. */
final class Calendar
{
    /** @return array<int, Due> by box id, soonest first; of boxes that stand in the house */
    public static function of(Household $house): array
    {
        $dues = [];
        foreach ($house->standing() as $box) {
            $due = self::ofBox($box, $house);
            if ($due !== null) {
                $dues[$box->id] = $due;
            }
        }
        uasort($dues, fn (Due $a, Due $b): int => $a->date <=> $b->date);

        return $dues;
    }

    /** Null for a box without jobs, and for one of which nobody knows when it was last updated. */
    public static function ofBox(Box $box, Household $house): ?Due
    {
        $cadences = array_combine(
            array_map(fn (HeldJob $held): string => $held->job->short, $box->jobs),
            array_map(fn (HeldJob $held): int => $held->job->cadenceDays, $box->jobs),
        );

        return $box->updated === null || $cadences === []
            ? null
            : Due::of($box->name, $box->updated, $cadences, $house->now);
    }
}
