<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

/** Lengths of time as systemd prints them (systemd.time(7)): "1min 2.345s", "812ms", "2h 3min". */
final class Span
{
    private const SECONDS = [
        'us' => 1e-6,
        'ms' => 1e-3,
        's' => 1,
        'min' => 60,
        'h' => 3600,
        'day' => 86400,
        'days' => 86400,
        'w' => 604800,
        'month' => 2629800,
        'months' => 2629800,
        'y' => 31557600,
    ];

    /** Null for what is no such time. */
    public static function seconds(string $text): ?float
    {
        $text = trim($text);
        if (
            $text === '' ||
            preg_match('/^(?:\d{1,12}(?:\.\d{1,9})? ?(?:us|ms|s|min|h|days?|w|months?|y) ?)+$/D', $text) !== 1
        ) {
            return null;
        }
        preg_match_all(
            '/(\d{1,12}(?:\.\d{1,9})?) ?(us|ms|s|min|h|days?|w|months?|y)/',
            $text,
            $parts,
            PREG_SET_ORDER,
        );

        return round(
            array_sum(array_map(fn (array $part): float => (float) $part[1] * self::SECONDS[$part[2]], $parts)),
            6,
        );
    }
}
