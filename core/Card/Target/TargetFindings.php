<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of the disk to write on and of the image, each with its one text; sources: docs/formulas/card.md. */
final class TargetFindings
{
    public static function checksumDiffers(string $got, string $wanted, Place $place): Finding
    {
        return Finding::stop(
            'card.checksum_differs',
            'The file is not the one that was published.',
            'It was cut off, changed, or belongs to another version: '.
                substr($got, 0, 12).
                '… and not '.
                substr($wanted, 0, 12).
                '….',
            'Download it again from its author. Do not write it.',
            $place,
        );
    }

    public static function checksumMatches(): Finding
    {
        return Finding::fine(
            'card.checksum_matches',
            'The file is the one that was published.',
            'It arrived whole. Where the checksum itself came from is as good as the page it stood on.',
        );
    }

    public static function checksumUnread(?string $other, string $what, Place $place): Finding
    {
        return Finding::stop(
            'card.checksum_unread',
            $other === null ? "{$what} holds no SHA-256." : "{$what} is a {$other}, not a SHA-256.",
            'A SHA-256 has 64 characters from 0 to 9 and a to f.',
            'sha256sum FILE, shasum -a 256 FILE or Get-FileHash FILE.',
            $place,
        );
    }

    public static function targetByLooks(): Finding
    {
        return Finding::warn(
            'card.target_by_looks',
            'There is one list only.',
            'Names and sizes prove nothing: a card often shows under its reader\'s name.',
            'List once more without the card; the difference is the card.',
        );
    }

    public static function targetChosen(string $found, string $because, string $holds): Finding
    {
        return Finding::fine('card.target_chosen', $found, "{$because} {$holds}");
    }

    public static function targetInDoubt(string $found, string $do): Finding
    {
        return Finding::stop(
            'card.target_in_doubt',
            $found,
            'Wiping the wrong disk cannot be undone, so none is named.',
            $do,
        );
    }

    public static function targetKnown(KnownMedium $medium): Finding
    {
        return Finding::note(
            'card.target_known',
            "The register knows it as “{$medium->label}”: {$medium->purpose}.",
            'It may be wiped, says the register.',
        );
    }

    public static function targetMounted(BlockDevice $disk): Finding
    {
        return Finding::note(
            'card.target_mounted',
            'It is mounted at '.implode(', ', $disk->mountPoints).'.',
            'The desktop did that by itself; it is let go of before writing.',
        );
    }

    public static function targetNotEmpty(string $found, string $because, string $holds): Finding
    {
        return Finding::warn(
            'card.target_not_empty',
            $found,
            "{$because} {$holds}",
            'Look at it first if you do not know it. Wiping cannot be undone.',
        );
    }
}
