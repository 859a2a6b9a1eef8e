<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Write;

use Burrow\Judgement\Finding;
use Burrow\Text\Words;

/** What speaks against the hours of updates that install themselves, and against a text that is no log of theirs. */
final class UnattendedFindings
{
    public static function windowShort(string $box, int $seconds): Finding
    {
        return Finding::warn(
            'upkeep.window_short',
            "The shortest hours in which work may be done on {$box} last ".
                Words::counted(intdiv($seconds, 60), 'minute').
                '.',
            'Fetching, installing and a restart take longer on a small board; what is begun is not broken off.',
            'Say half an hour or more, under The rhythm of the house.',
        );
    }

    /** @param  list<string>  $others */
    public static function unattendedTogether(string $box, array $others, string $what): Finding
    {
        return Finding::warn(
            'upkeep.unattended_together',
            "{$box} and ".
                implode(', ', $others).
                " would update in the same hours, and both serve the house with {$what}.",
            'Where both restart at once the house is without it.',
            'Give them hours on different days.',
        );
    }

    public static function noUnattendedLog(): Finding
    {
        return Finding::stop(
            'upkeep.no_unattended_log',
            'That is not the log of updates that install themselves.',
            'Its lines begin with day and hour, and one of them says “Starting unattended upgrades script”.',
            'Paste what the command beside prints.',
        );
    }
}
