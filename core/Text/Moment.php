<?php

declare(strict_types=1);

namespace Burrow\Text;

use DateTimeImmutable;
use Exception;

/**
 * Moments as files hold them: Unix seconds, or ISO 8601 with a date, perhaps a time and a zone; UTC where none is
 * said.
 */
final class Moment
{
    private const LATEST = 1e11;

    /** Unix seconds; null for what is neither. */
    public static function tryParse(int|string $said): ?int
    {
        if (is_int($said)) {
            return $said >= 0 && $said < self::LATEST ? $said : null;
        }
        if (
            preg_match(
                '/^(\d{4})-(\d\d)-(\d\d)(?:[T ]\d\d:\d\d(?::\d\d)?(Z|[+-]\d\d:?\d\d)?)?$/D',
                $said,
                $parts,
            ) !== 1 ||
            // The 30th of February is not the 2nd of March.
            ! checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1])
        ) {
            return null;
        }
        try {
            return (new DateTimeImmutable($said.(isset($parts[4]) ? '' : ' UTC')))->getTimestamp();
        } catch (Exception) {
            return null;
        }
    }

    private function __construct()
    {
    }
}
