<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Quantity\Rate;

/**
 * TCP payload of a network link.
 *
 * Ethernet (IEEE 802.3): a full frame is 1500 bytes and takes 1538 on the wire (preamble 8, header 14,
 * check 4, gap 12); IPv4 and TCP headers leave 1460 of it, or 1448 with the timestamps that Linux sends (RFC 7323).
 */
final class Ethernet
{
    public const ON_THE_WIRE = 1538;

    public const PAYLOAD = 1460;

    public const PAYLOAD_WITH_TIMESTAMPS = 1448;

    public static function payload(float $megabits, int $payloadBytes = self::PAYLOAD_WITH_TIMESTAMPS): Rate
    {
        return Rate::megabitsPerSecond($megabits)->times($payloadBytes / self::ON_THE_WIRE);
    }
}
