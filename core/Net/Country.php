<?php

declare(strict_types=1);

namespace Burrow\Net;

use DateTimeZone;

/** ISO 3166-1 alpha-2 codes, and the time zones that belong to them. */
final class Country
{
    /** Two codes of uninhabited places, which no zone belongs to. */
    private const WITHOUT_ZONE = ['BV', 'HM'];

    public static function isKnown(string $code): bool
    {
        return preg_match('/^[A-Z]{2}$/D', $code) === 1 &&
            (self::zones($code) !== [] || in_array($code, self::WITHOUT_ZONE, true));
    }

    /** A valid code that the time zone does not belong to is most often a slip. */
    public static function fits(string $code, string $zone): bool
    {
        return in_array($zone, self::zones($code), true) ||
            ! in_array($zone, DateTimeZone::listIdentifiers(), true) ||
            ! str_contains($zone, '/') ||
            str_starts_with($zone, 'Etc/');
    }

    /** @return list<string> */
    private static function zones(string $code): array
    {
        return array_values(DateTimeZone::listIdentifiers(DateTimeZone::PER_COUNTRY, $code));
    }
}
