<?php

declare(strict_types=1);

namespace Burrow\Net;

use DateTimeZone;

/** Zones of the time zone database (tzdata), by region and city, with Etc/UTC for those who want none. */
final class TimeZone
{
    /** @return list<string> */
    public static function all(): array
    {
        return ['Etc/UTC', ...DateTimeZone::listIdentifiers()];
    }

    public static function isKnown(string $name): bool
    {
        return in_array($name, self::all(), true);
    }
}
