<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Address;
use Burrow\Net\Mac;

/**
 * The lease files of Kea, for IPv4 and IPv6: columns by the names in their first line. The file is a journal: a later
 * row about an address counts, and a lifetime of 0 takes the lease away; one of 2³² − 1 never ends (RFC 2131 3.3).
 * Commas in values are written "&#x2c" (CSVRow::escapeCharacters).
 */
final class CsvLeases implements LeaseForm
{
    private const STATES = [
        0 => Lease::ACTIVE,
        1 => 'declined',
        2 => 'expired',
        3 => 'released',
        4 => 'registered',
    ];

    private const ENDLESS = 4294967295;

    public function fits(string $text): bool
    {
        return preg_match('/^address,(?:hwaddr|duid),/m', $text) === 1;
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $leases = [];
        $columns = null;
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match('/^address,(?:hwaddr|duid),/', $line) === 1) {
                $columns = array_flip(explode(',', trim($line)));
            } elseif ($columns !== null && trim($line) !== '') {
                $values = explode(',', $line);
                $value = fn (string $name): string => self::plain($values[$columns[$name] ?? -1] ?? '');
                $address = Address::standard($value('address'));
                if ($address === null || count($values) < count($columns) - 2 || ! ctype_digit($value('expire'))) {
                    $unread->add($number, 'its columns are not those of the first line');
                } elseif ($value('valid_lifetime') === '0') {
                    unset($leases[$address]);
                } else {
                    $id = ClientId::hex($value('client_id') ?: $value('duid'));
                    $leases[$address] = new Lease(
                        $address,
                        Mac::standard($value('hwaddr')) ?? ClientId::mac($id),
                        rtrim($value('hostname'), '.') ?: null,
                        (int) $value('valid_lifetime') === self::ENDLESS ? null : (int) $value('expire'),
                        self::STATES[(int) $value('state')] ?? null,
                        $id,
                    );
                }
            }
        }

        return $leases;
    }

    private static function plain(string $value): string
    {
        return (string) preg_replace_callback(
            '/&#x([0-9a-f]{2});?/i',
            fn (array $m): string => chr((int) hexdec($m[1])),
            trim($value),
        );
    }
}
