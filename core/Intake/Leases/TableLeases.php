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
 * address make a row, and what looks like a name beside them is the name. Tools of servers print such tables, too.
 */
final class TableLeases implements LeaseForm
{
    /** What stands in such cells and is no name. */
    private const NO_NAMES =
        '/^(?:-+|\?|n\/a|none|null|yes|no|on|off|true|false|up|down|online|offline|active|inactive|static|dynamic|'.
        'dhcp|reserved|reservation|permanent|lan\d*|wlan\d*|wifi|wi-fi|ethernet|eth\d+|wired|wireless|cable|br-?\w+|'.
        'unknown|edit|delete|remove|connected|disconnected|expired|infinite|never|to|'.
        'mac|address|ip|name|host|hostname|device|client|status|type|interface|expires|lease|time|days?|'.
        '\d+(?:\.\d+)?\s*(?:[smhdg]|[gm]hz|[mk]?bps|%|db|dbm|days?|hours?|minutes?|seconds?|min|sec)?|'.
        '\d+ days? [\d:]+|[\d:.\/-]+(?: [\d:.]+)?|(?:mon|tue|wed|thu|fri|sat|sun)\b.*)$/i';

    private const NAME = '/^[\p{L}\p{N}][\p{L}\p{N} ._\'()&+-]{0,62}$/uD';

    public function fits(string $text): bool
    {
        return true;
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $leases = [];
        $heads = [];
        $pending = [];
        foreach (Lines::of($text) as $number => $line) {
            $cells = self::cells($line);
            [$mac, $address] = self::pair($cells);
            if ($mac !== null && $address !== null) {
                $leases[$address] = new Lease($address, $mac, self::name($cells, $heads));
                $pending = [];
            } elseif ($mac === null && $address === null) {
                $heads = $leases === [] && count($cells) > 1 ? $cells : $heads;
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

    /** @return list<string> */
    private static function cells(string $line): array
    {
        // "address (to hardware address)" is how one server lists them.
        $line = (string) preg_replace('/^\s*Offered DHCP leases:/', '', $line);
        $line = (string) preg_replace('/ \(to ((?:[0-9a-f]{2}:){5}[0-9a-f]{2})\)/i', "\t$1", $line);
        $split = preg_match('/[\t;|]|,/', $line) === 1 ? '/\s*[\t;|,]\s*/' : '/ {2,}/';
        $cells = preg_split($split, trim($line)) ?: [];
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

        return array_values(array_filter($parted, fn (string $cell): bool => $cell !== ''));
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
