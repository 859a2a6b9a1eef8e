<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;

/** Boxes that are due for an update, or soon; and those whose hours for it went by. */
final readonly class Updates implements Concern
{
    public function findings(Household $house): Findings
    {
        $boxes = [];
        foreach ($house->standing() as $box) {
            $boxes[$box->id] = $box;
        }
        $findings = [];
        // Asked for once, whether anybody is due or not.
        $house->hours();
        foreach (Calendar::of($house) as $id => $due) {
            $findings[] = MissedHours::of($house, $boxes[$id], $due)?->finding() ?? $due->finding();
        }

        return Findings::of(
            ...array_filter($findings, fn (Finding $finding): bool => $finding->severity !== Severity::Fine),
        );
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
