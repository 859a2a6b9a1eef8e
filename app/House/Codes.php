<?php

declare(strict_types=1);

namespace App\House;

/** Every code of a finding or a working, as docs/formulas lists them: when it comes, and its source. */
final class Codes
{
    /** @return list<array{code: string, when: string, source: string}> in the order of their codes */
    public static function all(): array
    {
        static $all = null;
        if ($all === null) {
            $all = [];
            foreach (glob(base_path('docs/formulas/*.md')) ?: [] as $file) {
                preg_match_all(
                    '/^\| `([a-z]+\.[a-z0-9_]+)` \| (.*?) \| (.*?) \|$/m',
                    (string) file_get_contents($file),
                    $rows,
                    PREG_SET_ORDER,
                );
                foreach ($rows as $row) {
                    $all[] = ['code' => $row[1], 'when' => $row[2], 'source' => $row[3]];
                }
            }
            usort($all, fn (array $a, array $b): int => $a['code'] <=> $b['code']);
        }

        return $all;
    }

    /** @return list<array{code: string, when: string, source: string}> those that the text stands in */
    public static function called(string $sought, int $most): array
    {
        return $sought === ''
            ? []
            : array_slice(
                array_values(
                    array_filter(
                        self::all(),
                        fn (array $one): bool => str_contains($one['code'], strtolower($sought)) ||
                            mb_stripos($one['when'], $sought) !== false,
                    ),
                ),
                0,
                $most,
            );
    }
}
