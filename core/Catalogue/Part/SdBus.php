<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Rate;

/** Bus modes of a memory card (SD Physical Layer specification): card and reader use the slower one of the two. */
enum SdBus: string
{
    case DefaultSpeed = 'default';
    case HighSpeed = 'high';
    case Sdr50 = 'sdr50';
    case Sdr104 = 'sdr104';

    public function rate(): Rate
    {
        return Rate::megabytesPerSecond(
            match ($this) {
                self::DefaultSpeed => 12.5,
                self::HighSpeed => 25,
                self::Sdr50 => 50,
                self::Sdr104 => 104,
            },
        );
    }
}
