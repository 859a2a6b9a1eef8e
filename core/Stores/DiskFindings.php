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

/** What is found of disks: which one is meant, how full, how worn, whether it rests, and whether some make one. */
final class DiskFindings
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
            ($samples === 1 ? 'There is ' : 'There are ').Words::counted($samples, 'sample').'.',
            'A trend takes at least three, better three weeks of them.',
            'Note the fill again in a few days.',
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
                Words::counted(round($starts, 1), 'time').
                ' a day, and its starts are used up in '.
                Words::counted(round($years, 1), 'year').
                '.',
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
            "{$mount} on {$box} may be 85 % full in ".Words::counted($days, 'day').'.',
            "It is {$percent} % full now and grows as it did.",
            'Look what fills it, or plan a larger disk in time.',
        );
    }

    /** The same of a disk that a description does not name. */
    public static function fullInDays(float $percent, int $days): Finding
    {
        return Finding::warn(
            'stores.full_in_days',
            'The disk is likely to be 85 % full in '.Words::counted($days, 'day').'.',
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
}
