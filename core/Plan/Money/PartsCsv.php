<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

/** A parts list as CSV (RFC 4180) that a spreadsheet opens without taking any cell for a formula. */
final class PartsCsv
{
    public static function of(PartsList $list): string
    {
        $rows = [['part', 'price', 'because']];
        foreach ($list->parts as $part) {
            $rows[] = [$part->label, (string) $part->price, $part->because];
        }
        $rows[] = ['together', (string) $list->total(), ''];

        return implode(
            '',
            array_map(fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows),
        );
    }

    private static function cell(string $text): string
    {
        // Some programs take what begins so for a formula, blanks, line ends and the wide forms of these signs
        // included.
        $text =
            preg_match(
                '/^[\s\x{00A0}\x{3000}\x{FEFF}]*[=+\-@\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}]|^[\t\r\n]/u',
                $text,
            ) === 1
                ? "'".$text
                : $text;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
