<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Intake\Disks\BlockDevice;

/** A disk of the desk computer with what was made of it. */
final readonly class JudgedDisk
{
    /**
     * @param  ?string  $stays  why it must not be touched; null when nothing says so
     * @param  bool  $isNew  it is in the second list and not in the first
     * @param  ?KnownMedium  $known  what the register says of it
     */
    public function __construct(
        public BlockDevice $disk,
        public ?string $stays,
        public bool $isNew,
        public ?KnownMedium $known,
    ) {
    }
}
