<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Rate;

/** What a USB bus carries at most, whatever its board claims. */
final class Usb
{
    /** USB 2.0 specification, section 5.8.4: 13 bulk packets of 512 bytes in a microframe of 125 µs. */
    private const PACKETS = 13;

    private const PACKET_BYTES = 512;

    private const MICROFRAMES = 8000;

    /** USB 3 at 5 Gb/s, of which 8 bits in 10 are data (8b/10b). */
    private const FIVE_GIGABIT = 5e9;

    /** @param  2|3  $version */
    public static function most(int $version): Rate
    {
        return Rate::bytesPerSecond(
            $version === 2
                ? self::PACKETS * self::PACKET_BYTES * self::MICROFRAMES
                : (self::FIVE_GIGABIT * 8) / 10 / 8,
        );
    }
}
