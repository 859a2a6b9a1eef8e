<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Opening;
use Burrow\Judgement\Finding;

/** Every judgement of this stage, each with its one text; docs/formulas/reach.md lists them with their sources. */
final class ReachFindings
{
    /** @param  non-empty-list<string>  $openings  "8443 tcp" */
    public static function needlessOpening(string $box, array $openings): Finding
    {
        return Finding::warn(
            'reach.needless_opening',
            ucfirst($box).' can be reached from outside.',
            'Its job is not meant for that: '.implode(', ', $openings).'.',
            'Reach it through the tunnel instead.',
        );
    }

    public static function reviewDue(Opening $opening): Finding
    {
        return Finding::note(
            'reach.review_due',
            "The way in to {$opening->box} by {$opening->words()} was to be looked at by {$opening->review?->format(
                'Y-m-d',
            )}.",
            'A way in that nobody needs any more is one that nobody watches.',
            'Close it in the router, or give it another day.',
        );
    }
}
