<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Judgement\Findings;

/** What a floor has to say about the house as it stands; the front page asks every floor and only sorts. */
interface Concern
{
    public function findings(Household $house): Findings;

    /** Guests are told neither which boxes wait for updates nor what can be reached without need. */
    public function isForGuests(): bool;
}
