<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Drive;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Rate;

/** What is found of cards, disks, drives to start from, and of the link to them. */
final class StorageFindings
{
    public static function cardHolds(Bytes $needed, Bytes $holds): Finding
    {
        return Finding::fine(
            'plan.card_holds',
            "Space used on the card: {$needed->decimal()} of {$holds->decimal()}.",
        );
    }

    public static function cardTooSmall(Bytes $holds, Bytes $needed): Finding
    {
        return Finding::stop(
            'plan.card_too_small',
            "The card holds {$holds->decimal()}, and {$needed->decimal()} are needed.",
            'A full card stops updates first and everything else after.',
            'Take a larger card.',
        );
    }

    public static function diskNotNeeded(Drive $drive): Finding
    {
        return Finding::note(
            'plan.disk_not_needed',
            'No job here needs a disk of its own.',
            "The plan has one: {$drive->label}, {$drive->price}.",
            'Leave it out, unless the box is to start from it or plans are to grow.',
        );
    }

    public static function diskTooSmall(Bytes $amount, Drive $drive): Finding
    {
        return Finding::stop(
            'plan.disk_too_small',
            "{$amount->decimal()} are to go onto a disk of {$drive->capacity->decimal()}.",
            'The copy ends when the disk is full.',
            'A larger disk, or less to copy.',
        );
    }

    public static function noDisk(): Finding
    {
        return Finding::stop(
            'plan.no_disk',
            'A job needs a disk and the plan has none.',
            'Files on the card wear it out and go when it goes.',
            'Choose a disk.',
        );
    }

    public static function noStartFromDrive(BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.no_start_from_drive',
            "The {$board->label} does not start from a drive.",
            'Its first program looks at the card only.',
            'Let it start from the card, with the files on the drive.',
        );
    }

    public static function nothingToStartFrom(BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.nothing_to_start_from',
            "The {$board->label} starts from a drive, and the plan has none.",
            $board->startsFromCard() ? 'It was chosen so.' : 'It takes no card.',
            'Choose a drive; the one that is in it already counts.',
        );
    }

    public static function startDriveHolds(Bytes $needed, Bytes $holds): Finding
    {
        return Finding::fine(
            'plan.start_drive_holds',
            "Space the system uses on the drive: {$needed->decimal()} of {$holds->decimal()}.",
        );
    }

    public static function startDriveTooSmall(Bytes $holds, Bytes $needed): Finding
    {
        return Finding::stop(
            'plan.start_drive_too_small',
            "The drive holds {$holds->decimal()}, and the system with its jobs needs {$needed->decimal()}.",
            'A full drive stops updates first and everything else after.',
            'Take a larger drive.',
        );
    }

    public static function bootOrder(BoardClass $board): Finding
    {
        return Finding::note(
            'plan.boot_order',
            "The {$board->label} looks at its card first".
                ($board->startsFromDrive() === 'drive' ? '.' : ", and starts from a {$board->startsFromDrive()}."),
            'A throw-away card changes the order once: ten seconds, harmless to repeat.',
            'Take that card out afterwards; a forgotten stick or card may start instead.',
        );
    }

    public static function copySlow(CopyRate $copy): Finding
    {
        return Finding::note(
            'plan.copy_slow',
            "Copies run at {$copy->rate()}.",
            'Fine for archive and backup, useless for editing video (common practice).',
            "Without the {$copy->limit()->name} as the limit it would be {$copy->next()->rate}.",
        );
    }

    public static function linkSlow(float $wanted, PlanInput $plan, Rate $brings): Finding
    {
        return Finding::warn(
            'plan.link_slow',
            "The jobs want {$wanted} Mb/s, and the {$plan->link->label()} brings ".
                round(($brings->bytesPerSecond * 8) / 1e6).
                ' Mb/s.',
            'Pictures stop, and whoever waits thinks the box is down.',
            'A faster link or another board.',
        );
    }

    public static function noSuchLink(PlanInput $plan): Finding
    {
        return Finding::stop(
            'plan.no_such_link',
            "The {$plan->board->label} has no {$plan->link->label()} of its own.",
            'A USB adapter hangs on the disk\'s bus and shares it.',
            'Choose another link, an adapter or another board.',
        );
    }

    public static function wiredBeforeWireless(): Finding
    {
        return Finding::note(
            'plan.wired_before_wireless',
            'Wired is the better choice for anything always on.',
            'Wi-Fi works, and is slower and drops out at times (common practice).',
            'Use a cable if one can reach.',
        );
    }
}
