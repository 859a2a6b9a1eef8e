<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** The system of a desk computer, told apart by the command that lists its disks. */
enum DeskSystem: string
{
    case Lsblk = 'lsblk';
    case Diskutil = 'diskutil';
    case GetDisk = 'get-disk';

    public function label(): string
    {
        return match ($this) {
            self::Lsblk => 'one that lists its disks with lsblk',
            self::Diskutil => 'one that lists its disks with diskutil',
            self::GetDisk => 'one that lists its disks with Get-Disk',
        };
    }
}
