<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\RetiredBox;
use Burrow\Judgement\Findings;

/** Cards of retired boxes whose day has come. */
final class RetiredConcern implements Concern
{
    public function findings(Household $house): Findings
    {
        $due = array_filter(
            $house->retired(),
            fn (RetiredBox $box): bool => ! $box->wiped && $box->wipeOn !== null && $box->wipeOn <= $house->now,
        );

        return $due === []
            ? Findings::of()
            : Findings::of(
                MoveFindings::wipeDue(
                    array_values(array_map(fn (RetiredBox $box): string => $box->name, $due)),
                ),
            );
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
