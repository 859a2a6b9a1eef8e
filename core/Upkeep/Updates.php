<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;

/** Boxes that are due for an update, or soon. */
final readonly class Updates implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = array_map(fn (Due $due): Finding => $due->finding(), array_values(Calendar::of($house)));

        return Findings::of(
            ...array_filter($findings, fn (Finding $finding): bool => $finding->severity !== Severity::Fine),
        );
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
