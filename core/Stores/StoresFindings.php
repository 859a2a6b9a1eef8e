<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Finding;

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
            $none ? 'Plug the disk in, wait ten seconds and list again.' : 'Unplug all but the one and list again.',
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
        return Finding::note('stores.disk_stays', "{$disk->name}, {$disk->size->decimal()}: not touched.", $reason);
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
}
