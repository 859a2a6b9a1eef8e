<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Net\AddressFindings;

/** Boxes whose address the described network does not cover. */
final readonly class OutsideNetwork implements Concern
{
    public function findings(Household $house): Findings
    {
        $outside = array_values(array_filter($house->standing(), fn (Box $box): bool => ! $box->covered));
        $names =
            implode(', ', array_map(fn (Box $box): string => $box->name, array_slice($outside, 0, 5))).
            (count($outside) > 5 ? ' and more' : '');

        return $outside === []
            ? Findings::of()
            : Findings::of(AddressFindings::outsideNetwork($names, count($outside) === 1));
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
