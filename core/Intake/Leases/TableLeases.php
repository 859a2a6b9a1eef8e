<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Address;
use Burrow\Net\Mac;

/**
 * A table of clients as a router's page shows it, exported or copied: cells between tabs, commas, semicolons or several
 * blanks, in any order, or each on a line of its own. Columns are known by what is in them: a hardware address and an
 * address make a row, and what looks like a name beside them is the name, unless it is known which column that is for a
 * table of this look. Tools of servers print such tables, too.
 */
final class TableLeases implements LeaseForm
{
    public const MOST_COLUMNS = 40;

    /** What stands in such cells and is no name. */
    private const NO_NAMES =
        '/^(?:-+|\?|n\/a|none|null|yes|no|on|off|true|false|up|down|online|offline|active|inactive|static|dynamic|'.
        'dhcp|reserved|reservation|permanent|lan\d*|wlan\d*|wifi|wi-fi|ethernet|eth\d+|wired|wireless|cable|br-?\w+|'.
        'unknown|edit|delete|remove|connected|disconnected|expired|infinite|never|to|'.
        'mac|address|ip|name|host|hostname|device|client|status|type|interface|expires|lease|time|days?|'.
        '\d+(?:\.\d+)?\s*(?:[smhdg]|[gm]hz|[mk]?bps|%|db|dbm|days?|hours?|minutes?|seconds?|min|sec)?|'.
        '\d+ days? [\d:]+|[\d:.\/-]+(?: [\d:.]+)?|(?:mon|tue|wed|thu|fri|sat|sun)\b.*)$/i';

    private const NAME = '/^[\p{L}\p{N}][\p{L}\p{N} ._\'()&+-]{0,62}$/uD';

    public function __construct(private readonly ?TableColumns $known = null)
    {
    }

    public function fits(string $text): bool
    {
        return true;
    }

    /**
     * Where the names stand in a table, by its first whole row with one; null where none is, or the text is no table.
     *
     * @param  ?int  $name  the column of the names as somebody told it, from 0; null to recognise it
     */
    public static function columns(string $text, ?int $name = null): ?TableColumns
    {
        $heads = [];
        $met = false;
        foreach (Lines::of($text) as $line) {
            $columns = self::split($line);
            $cells = self::filled($columns);
            [$mac, $address] = self::pair($cells);
            if ($mac !== null && $address !== null && count($columns) <= self::MOST_COLUMNS) {
                $met = true;
                $named = self::name($cells, self::filled($heads));
                $at = $name ?? ($named === null ? null : (int) array_search($named, $columns, true));
                if ($at !== null && $at < count($columns)) {
                    return new TableColumns(count($columns), self::lower($heads), $at);
                }
            } elseif ($mac === null && $address === null && ! $met) {
                $heads = count($cells) > 1 ? $columns : $heads;
            }
        }

        return null;
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $leases = [];
        $heads = [];
        $pending = [];
        foreach (Lines::of($text) as $number => $line) {
            $columns = self::split($line);
            $cells = self::filled($columns);
            [$mac, $address] = self::pair($cells);
            if ($mac !== null && $address !== null) {
                $leases[$address] = new Lease(
                    $address,
                    $mac,
                    $this->known?->fits(count($columns), self::lower($heads)) === true
                        ? self::told($columns[$this->known->name] ?? '')
                        : self::name($cells, self::filled($heads)),
                );
                $pending = [];
            } elseif ($mac === null && $address === null) {
                $heads = $leases === [] && count($cells) > 1 ? $columns : $heads;
                $pending = count($cells) === 1 ? [...array_slice($pending, -8), ...$cells] : $pending;
            } else {
                // One cell a line, as some pages are copied: the row is whole when both were met.
                $pending = [...array_slice($pending, -8), ...$cells];
                [$mac, $address] = self::pair($pending);
                if ($mac !== null && $address !== null) {
                    $leases[$address] = new Lease($address, $mac, self::name($pending, []));
                    $pending = [];
                } elseif (count($cells) > 1) {
                    $unread->add($number, 'a hardware address and an address do not both stand in it');
                }
            }
        }

        return $leases;
    }

    /**
     * @param  list<string>  $columns
     * @return list<string> those with something in them
     */
    private static function filled(array $columns): array
    {
        return array_values(array_filter($columns, fn (string $cell): bool => $cell !== ''));
    }

    /**
     * @param  list<string>  $heads
     * @return list<string>
     */
    private static function lower(array $heads): array
    {
        return array_map(fn (string $head): string => mb_strtolower(mb_substr($head, 0, 40)), $heads);
    }

    /** The name that stands where names are known to stand; null where the cell is empty or holds a dash. */
    private static function told(string $cell): ?string
    {
        return preg_match('/^[-–—*?]*$/Du', $cell) === 1 || preg_match(self::NAME, $cell) !== 1
            ? null
            : $cell;
    }

    /** @return list<string> the cells of a row, empty ones too */
    private static function split(string $line): array
    {
        // "address (to hardware address)" is how one server lists them.
        $line = (string) preg_replace('/^\s*Offered DHCP leases:/', '', $line);
        $line = (string) preg_replace('/ \(to ((?:[0-9a-f]{2}:){5}[0-9a-f]{2})\)/i', "\t$1", $line);
        $split = preg_match('/[\t;|]|,/', $line) === 1 ? '/ *[\t;|,] */' : '/ {2,}/';
        $cells = preg_split($split, trim($line, " \r\n")) ?: [];
        $cells = array_map(fn (string $cell): string => trim($cell, " \t\"'"), $cells);
        // A single blank parts cells, too, where an address stands beside another word.
        $parted = [];
        foreach ($cells as $cell) {
            $words = explode(' ', $cell);
            $known = array_filter(
                $words,
                fn (string $word): bool => Mac::tryParse($word) !== null || Address::tryParse($word) !== null,
            );
            $parted = [...$parted, ...$known === [] ? [$cell] : $words];
        }

        return $parted;
    }

    /**
     * @param  list<string>  $cells
     * @return array{?string, ?string} hardware address and address
     */
    private static function pair(array $cells): array
    {
        $mac = $address = null;
        foreach ($cells as $cell) {
            $mac ??= Mac::standard($cell);
            $address ??= Address::standard((string) preg_replace('~/\d{1,3}$~', '', $cell));
        }

        return [$mac, $address];
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $heads  what stands above, where there are as many
     */
    private static function name(array $cells, array $heads): ?string
    {
        $named = array_keys(
            array_filter(
                count($heads) === count($cells) ? $heads : [],
                fn (string $head): bool => preg_match('/name|device|client|host/i', $head) === 1 &&
                    preg_match('/mac|address|ip\b/i', $head) !== 1,
            ),
        );
        $candidates = $named === [] ? $cells : array_map(fn (int $at): string => $cells[$at], $named);
        foreach ($candidates as $cell) {
            if (
                Mac::tryParse($cell) === null &&
                Address::tryParse($cell) === null &&
                preg_match(self::NO_NAMES, $cell) !== 1 &&
                preg_match(self::NAME, $cell) === 1
            ) {
                return $cell;
            }
        }

        return null;
    }
}
