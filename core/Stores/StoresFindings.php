<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

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
            '“'.mb_strimwidth((string) preg_replace('/\p{C}/u', '·', $typed), 0, 40, '…').'” is no time.',
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
}
