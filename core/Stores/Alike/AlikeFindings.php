<?php

declare(strict_types=1);

namespace Burrow\Stores\Alike;

use Burrow\Household\FolderPair;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What there is to say of folders that are kept alike; docs/formulas/stores.md lists the codes with their sources. */
final class AlikeFindings
{
    public static function isNoCopy(FolderPair $pair): Finding
    {
        return Finding::warn(
            'stores.alike_is_no_copy',
            self::named($pair).
                ' is kept alike with '.
                $pair->peer.
                ', and nothing of '.
                $pair->box.
                ' is copied.',
            'What is deleted, damaged or encrypted on one side is so on the other within seconds: that is what keeping alike means.',
            'Set a backup of the folder up, on either side.',
        );
    }

    public static function keepsNothing(FolderPair $pair): Finding
    {
        return Finding::warn(
            'stores.alike_keeps_nothing',
            self::named($pair).' keeps nothing of what '.$pair->peer.' deletes.',
            'Deletion travels; a wrong one is noticed days later.',
            'Let the program keep older versions, thirty days or more, at least on the box.',
        );
    }

    public static function differs(FolderPair $pair): Finding
    {
        return Finding::warn(
            'stores.alike_differs',
            self::named($pair).
                ' and '.
                $pair->peer.
                ' did not hold the same on '.
                $pair->differed?->format('Y-m-d').
                '.',
            'One of them stopped, is full, or may not write; what is changed on both sides meanwhile comes back as a conflict.',
            'Look at the program on both ends: paused, disk full, folder of another account? Then look again.',
        );
    }

    public static function neverSeen(FolderPair $pair): Finding
    {
        return Finding::note(
            'stores.alike_never_seen',
            'That '.self::named($pair).' and '.$pair->peer.' hold the same was never looked at.',
            'A program that says “up to date” may mean a folder that it no longer sees.',
            'Run the look at both ends and paste what both say.',
        );
    }

    public static function unseen(FolderPair $pair, int $days): Finding
    {
        return Finding::note(
            'stores.alike_unseen',
            self::named($pair).
                ' and '.
                $pair->peer.
                ' were seen alike '.
                Words::counted($days, 'day').
                ' ago for the last time.',
            'A machine that stays away long brings old files back, and conflicts.',
            'Switch it on, wait until it is through, and look again.',
        );
    }

    public static function conflicts(FolderPair $pair, int $count): Finding
    {
        return Finding::warn(
            'stores.alike_conflicts',
            self::named($pair).
                ' holds '.
                ($count === 1 ? 'a copy' : "{$count} copies").
                ' that both sides had changed.',
            'Each is somebody’s work that stands beside the other’s; nobody but those two knows which is right.',
            'Compare each with its neighbour, keep one, and delete the other on one side only.',
        );
    }

    public static function notAFolder(): Finding
    {
        return Finding::stop(
            'stores.alike_not_a_folder',
            'This is no folder of the box.',
            'It is looked into by its whole path.',
            'A path from the root, without a line break, such as /srv/store/papers.',
        )->at(Place::field('pair_folder'));
    }

    public static function noPeer(): Finding
    {
        return Finding::stop(
            'stores.alike_no_peer',
            'With which machine?',
            '',
            'Its name, up to 60 letters.',
        )->at(Place::field('pair_peer'));
    }

    public static function noSuchBox(): Finding
    {
        return Finding::stop(
            'stores.alike_no_box',
            'Which box keeps the folder?',
            '',
            'Choose one.',
            Place::field('pair_box'),
        );
    }

    public static function notDays(): Finding
    {
        return Finding::stop(
            'stores.alike_not_days',
            'Days are a whole number from 0 to 3650.',
            '',
            'Leave it empty where you do not know.',
        )->at(Place::field('pair_keeps'));
    }

    private static function named(FolderPair $pair): string
    {
        return "{$pair->folder} on {$pair->box}";
    }
}
