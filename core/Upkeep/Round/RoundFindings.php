<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

use Burrow\Judgement\Finding;
use Burrow\Text\Words;

/** What holds a round of upkeep, or is to be borne in mind before it goes on. */
final class RoundFindings
{
    public static function needsLeftOut(string $box, string $needs, string $why): Finding
    {
        return Finding::warn(
            'upkeep.needs_left_out',
            "{$box} depends on {$needs}, which was left out: {$why}",
            'Whether that one works was not seen in this round.',
            'Look after it first, or leave this one out as well.',
        );
    }

    public static function absentForRound(string $box): Finding
    {
        return Finding::stop(
            'upkeep.absent_for_round',
            "{$box} does not answer.",
            'What it answered before is what it is held against afterwards.',
            'Give it its power, or leave it out; it is due again when it is seen.',
        );
    }

    /** @param  list<int>  $ports */
    public static function notBackYet(string $box, array $ports): Finding
    {
        return Finding::stop(
            'upkeep.not_back_yet',
            (count($ports) === 1 ? 'Port ' : 'Ports ').
                implode(', ', array_slice($ports, 0, 12)).
                " of {$box} answered before and ".
                (count($ports) === 1 ? 'does' : 'do').
                ' not now.',
            'It may still be starting; a service may have stopped for a changed file of its settings.',
            'Wait for the usual time, then look at the service: systemctl status. The next box waits meanwhile.',
        );
    }

    public static function namesNotBack(string $box): Finding
    {
        return Finding::stop(
            'upkeep.names_not_back',
            "{$box} does not answer names again.",
            'The whole house asks it; the next box would find nothing.',
            'Look whether its port 53 is held, and whether it reaches whom it asks.',
        );
    }

    public static function stillWaiting(string $box, int $packages): Finding
    {
        return Finding::warn(
            'upkeep.still_waiting',
            Words::counted($packages, 'package waits', 'packages wait').
                " on {$box} still, as its report shows.",
            'Something was held back, or the report was made before the upgrade was over.',
            'Look at what apt says of them: apt list --upgradable. It is due as soon as they are in.',
        );
    }

    public static function notStartedAgain(string $box): Finding
    {
        return Finding::warn(
            'upkeep.not_started_again',
            "{$box} asks for a restart, and its report shows none since it was begun.",
            'The new kernel or library is on its disk, and the old one is at work.',
            'Restart it when nothing is being printed, recorded or copied.',
        );
    }

    public static function notAnUpgrade(): Finding
    {
        return Finding::stop(
            'upkeep.not_an_upgrade',
            'That is not what an update prints.',
            'Its last lines say how many packages were upgraded.',
            'Paste from “The following packages will be upgraded” to the end, or leave the field empty.',
        );
    }
}
