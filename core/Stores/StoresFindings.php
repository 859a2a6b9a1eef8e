<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Household\DriveHealth;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Quantity\Bytes;
use Burrow\Text\Words;
use DateTimeImmutable;

/** Every judgement of this stage, each with its one text; docs/formulas/stores.md lists them with their sources. */
final class StoresFindings
{
    public static function diskChosen(string $name, string $holds): Finding
    {
        return Finding::fine('stores.disk_chosen', $name, $holds);
    }

    public static function diskInDoubt(string $what, bool $none): Finding
    {
        return Finding::stop(
            'stores.disk_in_doubt',
            $what,
            'Wiping the wrong one cannot be undone, so none is named.',
            $none
                ? 'Plug the disk in, wait ten seconds and list again.'
                : 'Unplug all but the one and list again.',
        );
    }

    public static function diskNotEmpty(string $name, string $holds): Finding
    {
        return Finding::warn(
            'stores.disk_not_empty',
            $name,
            $holds,
            'Look at it on another computer first if you do not know it.',
        );
    }

    public static function diskStays(BlockDevice $disk, string $reason): Finding
    {
        return Finding::note(
            'stores.disk_stays',
            "{$disk->name}, {$disk->size->decimal()}: not touched.",
            $reason,
        );
    }

    public static function diskWithoutSerial(BlockDevice $disk): Finding
    {
        return Finding::stop(
            'stores.disk_without_serial',
            "{$disk->name} shows no serial number.",
            'The commands that wipe a disk look at its number first; without one they could not tell it from another.',
            'Connect it through another adapter, or directly, and list again.',
        );
    }

    public static function nearlyFull(float $percent): Finding
    {
        return Finding::warn(
            'stores.nearly_full',
            "{$percent} % of the disk is used.",
            'Above 85 % file systems slow down, and the next large copy may not fit (common practice).',
            'Clean up, or plan a larger disk.',
        );
    }

    public static function tooFewSamples(int $samples): Finding
    {
        return Finding::note(
            'stores.too_few_samples',
            $samples === 1 ? 'There is one sample.' : "There are {$samples} samples.",
            'A trend takes at least three, better three weeks of them.',
            'Note the fill again in a few days.',
        );
    }

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

    public static function allReserved(Place $place): Finding
    {
        return Finding::stop(
            'stores.all_reserved',
            'Nothing is left for ordinary users.',
            'What is reserved is taken from what the file system holds.',
            'Compare the two numbers.',
            $place,
        );
    }

    /** @param  float  $starts  a day */
    public static function restWears(float $starts, float $years): Finding
    {
        return Finding::warn(
            'stores.rest_wears',
            'It would start '.
                round($starts, 1).
                ' times a day, and its starts are used up in '.
                round($years, 1).
                ' years.',
            'A start wears a disk more than hours of turning.',
            'Let it wait longer, or turn.',
        );
    }

    public static function underWarranty(DriveHealth $drive, DateTimeImmutable $until): Finding
    {
        return Finding::note(
            'stores.under_warranty',
            "The drive {$drive->serial} of {$drive->box} is under warranty until {$until->format('Y-m-d')}.",
            'What is wrong with it now is replaced now.',
            'Copy what is on it, wipe it, and send it in with what its own test says.',
        );
    }

    public static function warrantyEnds(DriveHealth $drive, DateTimeImmutable $until): Finding
    {
        return Finding::note(
            'stores.warranty_ends',
            "The warranty of the drive {$drive->serial} of {$drive->box} ends on {$until->format('Y-m-d')}.",
            'A fault that is found after that day is yours.',
            'Let it test itself once before: sudo smartctl -t long, and look the next day.',
        );
    }

    public static function restSavesNothing(): Finding
    {
        return Finding::note(
            'stores.rest_saves_nothing',
            'Resting saves hardly anything.',
            'It is asked again before it rested long enough, or stands for almost what it turns for.',
            'Let it turn.',
        );
    }

    /** @param  ?float  $years  that its starts last; null for ever */
    public static function restPays(float $kilowattHours, ?float $years): Finding
    {
        return Finding::fine(
            'stores.rest_pays',
            'It saves '.round($kilowattHours, 1).' kWh a year.',
            $years === null ? '' : 'Its starts last longer than it is to be used.',
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

    public static function notASource(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_source',
            '“'.Words::typed($typed).'” is nothing that can be mounted.',
            'A source is UUID=…, LABEL=…, a path, or a server with its share (fstab(5)).',
            'Take the UUID; letters of devices change between starts.',
            $place,
        );
    }

    public static function notAMountPoint(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_mount_point',
            '“'.Words::typed($typed).'” is no place to mount at.',
            'It is a path from the root; “none” is for swap alone (fstab(5)).',
            'Write it as /srv/store.',
            $place,
        );
    }

    public static function mountedTwice(string $mount, Place $place): Finding
    {
        return Finding::stop(
            'stores.mounted_twice',
            "Two entries are mounted at {$mount}.",
            'The later one hides the earlier one.',
            'Give one of them another place.',
            $place,
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

    public static function notAShareName(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_share_name',
            '“'.Words::typed($typed).'” is no name for a share.',
            'Some words and signs have a meaning of their own in smb.conf, and on the network.',
            'Take letters, digits, blanks inside, hyphens and underscores.',
            $place,
        );
    }

    public static function shareTwice(string $name, Place $place): Finding
    {
        return Finding::stop(
            'stores.share_twice',
            "Two shares are called {$name}.",
            'Names of shares ignore case; the two would be one, with the settings of both.',
            'Call one of them otherwise.',
            $place,
        );
    }

    public static function notAnAccount(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_an_account',
            '“'.Words::typed($typed).'” is neither an account nor a group.',
            'Accounts are letters, digits, dots, hyphens and underscores; groups have @ in front.',
            'Write it as useradd took it.',
            $place,
        );
    }

    public static function likeAHome(string $name, Place $place): Finding
    {
        return Finding::stop(
            'stores.like_a_home',
            "The share {$name} has the name of an account.",
            'With shares for every account it collides with that one’s own.',
            'Call it otherwise, or leave the shares for accounts out.',
            $place,
        );
    }

    public static function guestAndUsers(string $name, Place $place): Finding
    {
        return Finding::warn(
            'stores.guest_and_users',
            "{$name} is for guests and for certain accounts.",
            'A guest is none of those, and is refused.',
            'Leave one of the two out.',
            $place,
        );
    }

    public static function exportedTwice(string $path, Place $place): Finding
    {
        return Finding::stop(
            'stores.exported_twice',
            "{$path} stands there twice.",
            'One line holds all clients of a folder.',
            'Put the clients together.',
            $place,
        );
    }

    public static function notAClient(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_client',
            '“'.Words::typed($typed).'” is no client.',
            'A client is an address, a prefix at its network address, a host name, or * (exports(5)).',
            'Write it as 172.22.8.0/24.',
            $place,
        );
    }

    public static function everybodyWrites(string $path, Place $place): Finding
    {
        return Finding::warn(
            'stores.everybody_writes',
            "Everybody who reaches the box may write to {$path}.",
            'This kind of share asks for no password; the address is all it knows.',
            'Name the prefix of the house, or single machines.',
            $place,
        );
    }

    public static function beyondOldTable(int $bytes, int $reach, Place $place): Finding
    {
        return Finding::stop(
            'stores.beyond_old_table',
            'This table counts to '.
                Bytes::of($reach)->decimal().
                ', and the disk has '.
                Bytes::of($bytes)->decimal().
                '.',
            '2³² sectors is all that its fields hold: '.
                Bytes::of($bytes - $reach)->decimal().
                ' would be lost without a word.',
            'Take the newer kind, gpt.',
            $place,
        );
    }

    public static function fourPartitions(Place $place): Finding
    {
        return Finding::stop(
            'stores.four_partitions',
            'This kind of table holds four partitions.',
            'More are chained inside one of them, which nobody needs on a new disk.',
            'Take the newer kind, gpt, or fewer partitions.',
            $place,
        );
    }

    public static function onlyTheLast(Place $place): Finding
    {
        return Finding::stop(
            'stores.only_the_last',
            'Only the last partition may take what is left.',
            'Where the next one begins has to be known.',
            'Give this one a size.',
            $place,
        );
    }

    public static function partitionTooLarge(int $number, Place $place): Finding
    {
        return Finding::stop(
            'stores.partition_too_large',
            "Partition {$number} does not fit on the disk.",
            'Its end lies beyond what the disk, or its table, holds.',
            'Make it smaller, or let the last one take what is left.',
            $place,
        );
    }

    public static function noNamesThere(Place $place): Finding
    {
        return Finding::stop(
            'stores.no_names_there',
            'This kind of table holds no names of partitions.',
            'Only the newer kind has room for them.',
            'Leave the name out; the file system can have a label.',
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

    public static function fullOn(string $box, string $mount, float $percent): Finding
    {
        return Finding::warn(
            'stores.full',
            "{$mount} on {$box} is {$percent} % full.",
            'Above 85 % file systems slow down, and the next large copy may not fit (common practice).',
            'Clean up, or plan a larger disk.',
        );
    }

    public static function fullSoon(string $box, string $mount, float $percent, int $days): Finding
    {
        return Finding::note(
            'stores.full_soon',
            "{$mount} on {$box} may be 85 % full in {$days} days.",
            "It is {$percent} % full now and grows as it did.",
            'Look what fills it, or plan a larger disk in time.',
        );
    }

    public static function failing(DriveHealth $drive): Finding
    {
        return Finding::stop(
            'stores.failing',
            "The drive {$drive->serial} in {$drive->box} says itself that it fails.",
            'That is the last warning a drive gives (SMART overall health).',
            'Copy what is on it now, and replace it.',
        );
    }

    public static function counterGrows(DriveHealth $drive, string $what, int $before, int $now): Finding
    {
        return Finding::warn(
            'stores.counter_grows',
            "{$drive->serial} in {$drive->box}: {$what} grew from {$before} to {$now}.",
            'A counter that grows is worse than one that stands, however small it is (common practice).',
            'Check that the copy elsewhere is whole, and plan another drive.',
        );
    }

    public static function counterStands(DriveHealth $drive, string $what, int $now): Finding
    {
        return Finding::note(
            'stores.counter_stands',
            "{$drive->serial} in {$drive->box}: {$now} {$what}, no more than before.",
            'As long as the number stands, the drive has found other places.',
            'Look again in a month.',
        );
    }

    public static function worn(DriveHealth $drive, int $percent): Finding
    {
        return Finding::warn(
            'stores.worn',
            "{$drive->serial} in {$drive->box} has used {$percent} % of its erase cycles.",
            'Beyond them nobody promises that it keeps what is written.',
            'Plan another drive.',
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

    public static function guestsAndNames(string $share): Finding
    {
        return Finding::warn(
            'stores.guests_and_names',
            "[{$share}] lets guests in and names its users as well.",
            'A guest is nobody, and nobody is not among the names: guests are kept out after all.',
            'Take out guest ok, or valid users.',
        );
    }

    public static function likeAnAccount(string $share): Finding
    {
        return Finding::warn(
            'stores.like_an_account',
            "[{$share}] is called like an account, and [homes] gives each account a share of its name.",
            'Which of the two somebody gets depends on who asks.',
            'Call it otherwise, or take [homes] out.',
        );
    }

    public static function guestsWrite(string $share): Finding
    {
        return Finding::warn(
            'stores.guests_write',
            "[{$share}] lets anybody in the network write, without an account.",
            'One infected machine is enough to encrypt all of it.',
            'Let guests read only, and give those who write an account.',
        );
    }

    public static function tooFewDisks(string $level, int $least): Finding
    {
        return Finding::stop(
            'stores.too_few_disks',
            ucfirst($level)." wants at least {$least} disks.",
            'With fewer there is nothing to rebuild from.',
            'Add disks, or choose another arrangement.',
            Place::field('disks'),
        );
    }

    public static function notDisks(string $field): Finding
    {
        return Finding::stop(
            'stores.not_disks',
            'The sizes of 1 to 24 disks in TB are missing.',
            'A size is a number from 0.01 to 100.',
            'Write them with blanks between: 4 4 8.',
            Place::field($field),
        );
    }
}
