<?php

declare(strict_types=1);

namespace Burrow\BringUp;

/** What a run of a box that is up may change; each has a shared part of steps by its name. */
enum Change: string
{
    case Address = 're-address';

    case Name = 'rename';

    /** What another box does moves to this one, with its address. */
    case Move = 'move';

    /** What a program on a desk computer does moves to this one. */
    case FromDesk = 'from-desk';

    /** It has one job less. */
    case DropJob = 'drop-job';

    /** Its card goes into another board. */
    case OtherBoard = 'other-board';

    /** Its board gets another card, or another drive that its system starts from. */
    case OtherCard = 'other-card';

    /** What it keeps goes onto another disk. */
    case OtherDisk = 'other-disk';

    /** It gets another supply, cable, case or cooling. */
    case OtherParts = 'other-parts';

    /** Whether a run of it counts what there is before, and again afterwards. */
    public function moves(): bool
    {
        return $this === self::Move || $this === self::FromDesk;
    }

    /** Whether it has other parts when such a run is over. */
    public function swaps(): bool
    {
        return in_array($this, [self::OtherBoard, self::OtherCard, self::OtherDisk, self::OtherParts], true);
    }
}
