<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/**
 * The best rate on the air of a radio, by IEEE 802.11: data subcarriers × bits × coding ÷ symbol time × streams.
 * 802.11n reaches 6 bits at 5/6 (MCS 7), 802.11ac 8 bits at 5/6 (MCS 9); a symbol takes 4 µs, or 3.6 with the short
 * guard.
 */
final class Wireless
{
    private const SUBCARRIERS = [20 => 52, 40 => 108, 80 => 234];

    private const BITS = ['n' => 6, 'ac' => 8];

    private const CODING = 5 / 6;

    /**
     * In Mb/s.
     *
     * @param  'n'|'ac'  $standard
     * @param  20|40|80  $megahertz
     */
    public static function megabits(string $standard, int $megahertz, int $streams, bool $shortGuard): float
    {
        $microseconds = $shortGuard ? 3.6 : 4.0;

        return round(
            ((self::SUBCARRIERS[$megahertz] * self::BITS[$standard] * self::CODING) / $microseconds) * $streams,
            1,
        );
    }
}
