<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Care;

use DateTimeImmutable;
use DateTimeZone;

/** When releases of Debian get no more updates, from the table of its package distro-info-data (debian.csv). */
final class ReleaseTable
{
    /**
     * The end of what its own team does, or of what the long-term team goes on with after it; the later of both.
     *
     * @return array<string, DateTimeImmutable> by codename in small letters; releases without an end are left out
     */
    public static function ends(string $csv, DateTimeZone $zone): array
    {
        $lines = array_map(
            fn (string $line): array => str_getcsv($line, escape: ''),
            explode("\n", trim($csv)),
        );
        $heads = array_flip(array_map(strval(...), array_shift($lines) ?? []));
        $ends = [];
        foreach ($lines as $line) {
            $series = (string) ($line[$heads['series'] ?? -1] ?? '');
            $days = array_filter(
                [
                    (string) ($line[$heads['eol'] ?? -1] ?? ''),
                    (string) ($line[$heads['eol-lts'] ?? -1] ?? ''),
                ],
                fn (string $one): bool => preg_match('/^\d{4}-\d\d-\d\d$/D', $one) === 1,
            );
            $day = $days === [] ? false : DateTimeImmutable::createFromFormat('!Y-m-d', max($days), $zone);
            if ($series !== '' && $day !== false) {
                $ends[strtolower($series)] = $day;
            }
        }

        return $ends;
    }

    private function __construct()
    {
    }
}
