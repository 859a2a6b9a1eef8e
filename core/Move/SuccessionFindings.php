<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Judgement\Finding;

/** What speaks against one box taking another one's place. */
final class SuccessionFindings
{
    public static function noAddressToTake(string $box): Finding
    {
        return Finding::stop(
            'move.no_address_to_take',
            "{$box} has no address on record.",
            'The new one takes its address, so that whoever uses it finds the new one there.',
            'Pin it first, where it answers now.',
        );
    }

    public static function notUpYet(string $box): Finding
    {
        return Finding::stop(
            'move.not_up_yet',
            "{$box} is not up yet.",
            'It is brought up beside the old one, at an address of its own, before anything is taken off.',
            'Bring it up, with first settings that mean nothing.',
        );
    }

    public static function newOneSilent(string $box): Finding
    {
        return Finding::warn(
            'move.new_one_silent',
            "{$box} did not answer when it was last asked.",
            'What is to take over should be seen at work first.',
            'Find out why, or give it its power.',
        );
    }

    /** @param  list<string>  $jobs */
    public static function jobNotThere(string $box, array $jobs): Finding
    {
        return Finding::warn(
            'move.job_not_there',
            "{$box} does not have: ".implode(', ', $jobs).'.',
            'A backup is restored into the program that made it; without it nothing takes the file.',
            'Give it the job first, from its page. Where only a part is to move, go on.',
        );
    }

    public static function copiesStay(string $box, string $backup): Finding
    {
        return Finding::warn(
            'move.copies_stay',
            "Copies of {$backup} lie on {$box}.",
            'They do not move by themselves, and the next copy finds nobody.',
            'Move their disk over as well, or point the backup elsewhere before.',
        );
    }

    public static function hangsOnIt(string $box, string $on): Finding
    {
        return Finding::note(
            'move.hangs_on_it',
            "{$box} depends on {$on} itself.",
            'Once both are one, what it was needed for is on the same machine.',
            'Look that the new one does not ask itself over the old address.',
        );
    }

    public static function sameBox(): Finding
    {
        return Finding::stop(
            'move.same_box',
            'That is the same box.',
            'A box does not take over from itself.',
            'Choose another one.',
        );
    }
}
