<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\Opening;
use Burrow\Judgement\Findings;

/** Ways in from outside that nobody needs, and those that were to be looked at again by now. */
final readonly class Openings implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->standing() as $box) {
            $openings = $house->openings($box);
            if ($openings !== [] && ! $box->mayFaceWorld()) {
                $findings[] = ReachFindings::needlessOpening(
                    $box->name,
                    array_map(fn (Opening $opening): string => $opening->words(), $openings),
                );
            }
            foreach ($openings as $opening) {
                if ($opening->review !== null && $opening->review < $house->now->setTime(0, 0)) {
                    $findings[] = ReachFindings::reviewDue($opening);
                }
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return false;
    }
}
