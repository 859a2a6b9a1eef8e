<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Household\Copying;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What there is to say of copies, each with its one text; docs/formulas/stores.md lists them with their sources. */
final class BackupFindings
{
    /** @param  non-empty-list<string>  $boxes  that keep the household's files */
    public static function noCopyOfFiles(array $boxes): Finding
    {
        return Finding::warn(
            'stores.no_copy_of_files',
            'The household’s files on '.implode(', ', $boxes).' are copied nowhere.',
            'A disk ends without a word, and with it what nobody else has. Two disks in one box are no copy: deletion, damage and theft take both.',
            'Set a backup up, on another box first and then elsewhere.',
        );
    }

    /** @param  non-empty-list<string>  $boxes */
    public static function noCopy(array $boxes): Finding
    {
        $more = count($boxes) - 5;

        return Finding::note(
            'stores.no_copy',
            'Nothing of '.
                implode(', ', array_slice($boxes, 0, 5)).
                ($more > 0 ? " and {$more} more" : '').
                ' is copied.',
            'It can be brought up again by its playbook; what was set and learned since is gone with its card.',
            'Copy at least what its job says has to be kept; the page of backups has it.',
        );
    }

    public static function neverRan(Copying $one): Finding
    {
        return Finding::warn(
            'stores.copy_never_ran',
            "The backup {$one->name} of {$one->box} was never seen to run.",
            'A plan is no copy.',
            'Set it up on the box, let it run once, and paste what it says.',
        );
    }

    public static function late(Copying $one, int $days): Finding
    {
        return Finding::warn(
            'stores.copy_late',
            "The backup {$one->name} of {$one->box} went well ".
                Words::counted($days, 'day').
                ' ago for the last time, as far as is known.',
            'What came since is on one disk only.',
            "Look on {$one->box} what it says: journalctl -u backup-{$one->name}, and paste it.",
        );
    }

    public static function failed(Copying $one): Finding
    {
        return Finding::warn(
            'stores.copy_failed',
            "The backup {$one->name} of {$one->box} stopped on {$one->failed?->format(
                'Y-m-d',
            )}: {$one->because}.",
            'The copies of before are untouched; a new one was not made.',
            'Take away what stopped it, and let it run once.',
        );
    }

    public static function neverTried(Copying $one): Finding
    {
        return Finding::warn(
            'stores.never_tried',
            "Nobody has ever brought the backup {$one->name} of {$one->box} back.",
            'Whether a copy is one shows when it is brought back, and that is better done before it is needed.',
            'Bring it back into a folder of its own, open something of it, and write down how long it took.',
        );
    }

    public static function triedLongAgo(Copying $one, int $days): Finding
    {
        return Finding::note(
            'stores.tried_long_ago',
            "The backup {$one->name} of {$one->box} was last brought back ".
                Words::counted($days, 'day').
                ' ago.',
            'Keys, paths and people change; what worked then may not work now.',
            'Bring it back once more into a folder of its own.',
        );
    }

    public static function drillFailed(Copying $one): Finding
    {
        return Finding::stop(
            'stores.drill_failed',
            "When the backup {$one->name} of {$one->box} was brought back on {$one->tried?->format(
                'Y-m-d',
            )}, it was not what it should have been.",
            'As long as that is so, there is no copy.',
            'Find out what was missing, make a new copy, and try that.',
        );
    }

    public static function sameBox(Copying $one): Finding
    {
        return Finding::warn(
            'stores.same_box',
            "The backup {$one->name} of {$one->box} stays on {$one->box}.",
            'What takes the box takes the copy with it: a surge, a thief, a wrong command.',
            'Copy it to another machine.',
        );
    }

    /** @param  non-empty-list<string>  $boxes */
    public static function nothingElsewhere(array $boxes): Finding
    {
        return Finding::note(
            'stores.nothing_elsewhere',
            'All copies of '.implode(', ', array_slice($boxes, 0, 5)).' are in this house.',
            'Three copies, on two kinds of things, one of them elsewhere (common practice): fire and water take a whole house.',
            'One more backup to a machine elsewhere, as an encrypted archive; or a disk that is carried away.',
        );
    }

    public static function openElsewhere(Copying $one): Finding
    {
        return Finding::warn(
            'stores.open_elsewhere',
            "The backup {$one->name} of {$one->box} lies elsewhere and can be read there.",
            'Whoever owns, finds or steals that machine has the household’s files.',
            'Make it an archive with a passphrase.',
        );
    }

    public static function keyOnBoxOnly(Copying $one): Finding
    {
        return Finding::warn(
            'stores.key_on_box_only',
            "Where the passphrase of {$one->name} is kept besides {$one->box} is not in the record.",
            'It dies with the box, and then nobody reads the copies.',
            'Put it where your passwords are and on paper in another house, and write down where.',
        );
    }

    public static function wants(string $what, string $found, string $do): Finding
    {
        return Finding::stop(
            'stores.backup_wants',
            $found,
            'The script is made of it.',
            $do,
            Place::field($what),
        );
    }
}
