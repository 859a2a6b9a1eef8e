<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Quantity\Bytes;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/stores.md lists them with their sources. */
final class StoresFindings
{
    public static function notATime(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_time',
            '“'.Words::typed($typed, 40).'” is no time.',
            'Times are Unix seconds or written as 2026-11-26T15:00:00Z.',
            'Write it like that.',
            $place,
        );
    }

    public static function notBetween(string $field, float $least, float $most): Finding
    {
        return Finding::stop(
            'stores.not_between',
            "A number from {$least} to {$most} is wanted.",
            '',
            'Write it with a point, as 0.6.',
            Place::field($field),
        );
    }

    public static function notCarried(string $key, string $value, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_carried',
            "The {$key} “".Words::typed($value).'” cannot stand in the file.',
            'The format has no way to write it.',
            'Leave out what has a meaning there: quotes, commas, signs of percent and number, line breaks.',
            $place,
        );
    }

    public static function leftOver(int $bytes, Place $place): Finding
    {
        return Finding::note(
            'stores.left_over',
            Bytes::of($bytes)->decimal().' at the end of the disk belong to no partition.',
            'That may be meant, and may be a slip.',
            'Leave the size of the last one out, and it takes what is left.',
            $place,
        );
    }

    public static function notAFolderToCopy(string $path, ?Place $at): Finding
    {
        return Finding::stop(
            'stores.not_a_folder_to_copy',
            '“'.Words::typed($path).'” is no folder or file that can be copied.',
            'It is written from the root, and what lies below /proc, /sys, /dev and /run is made by the system at each start.',
            'Write the whole path, such as /srv/store.',
            $at,
        );
    }

    public static function whichDatabaseFile(Place $at): Finding
    {
        return Finding::stop(
            'stores.which_database_file',
            'Where the database lies is missing.',
            'One that keeps itself in a file is dumped from that file.',
            'Add database_file with its path.',
            $at,
        );
    }

    public static function keepsNothing(?Place $at): Finding
    {
        return Finding::stop(
            'stores.keeps_nothing',
            'No copy would be kept.',
            'One of the days, weeks, months and years is at least 1.',
            'Say how many are kept: 7 days, 4 weeks and 12 months is usual.',
            $at,
        );
    }

    public static function saidTwice(
        string $share,
        string $one,
        string $other,
        int $first,
        int $second,
    ): Finding {
        return Finding::note(
            'stores.said_twice',
            "[{$share}] says “{$one}” in line {$first} and “{$other}” in line {$second}, which is the same.",
            'Whoever changes one of them will wonder why nothing happens: the last one counts.',
            "Take line {$first} out.",
            Place::file('smb.conf', $second),
        );
    }

    public static function contradicts(
        string $share,
        string $one,
        string $other,
        int $first,
        int $second,
    ): Finding {
        return Finding::warn(
            'stores.contradicts',
            "[{$share}]: “{$one}” in line {$first} and “{$other}” in line {$second} contradict each other.",
            'They are words for the same thing (smb.conf(5)), and the last one counts.',
            'Take out the one that is not meant.',
            Place::file('smb.conf', $second),
        );
    }
}
