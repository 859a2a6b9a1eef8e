<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Net\PackageIndex;

/** Every program that a board has. A new one is one class and one line here. */
final class Programs
{
    /** @return list<Program> */
    public static function all(PackageIndex $index): array
    {
        return [new AptGet($index), new Lsblk(), new Test(), new MakeDisk(), new Mount(), new Samba(), new Quiet()];
    }
}
