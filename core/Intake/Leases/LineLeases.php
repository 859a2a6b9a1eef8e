<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Mac;

/**
 * One line a lease, as dnsmasq writes them (lease.c): expiry, hardware address, address, name, client id; an expiry of
 * 0 never ends, "*" is unknown. A hardware address that is not Ethernet begins with its type and a hyphen. Behind the
 * server's "duid" line the second column is the IAID, with "T" before a temporary one, and the last the client's DUID.
 */
final class LineLeases implements LeaseForm
{
    public function fits(string $text): bool
    {
        return preg_match(
            '/^\d{1,18} [0-9A-Fa-f:T-]{1,60} [0-9A-Fa-f.:]{2,45}(?: |$)|^duid [0-9a-f]{2}:/m',
            $text,
        ) === 1;
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $leases = [];
        foreach (Lines::of($text) as $number => $line) {
            if ($line === '' || $line[0] === '#' || str_starts_with($line, 'duid ') || trim($line) === '') {
                continue;
            }
            $lease = self::lease(explode(' ', $line, 5));
            if ($lease === null) {
                $unread->add($number, 'it is not “expiry hardware-address address name”');
            } else {
                $leases[$lease->address] = $lease;
            }
        }

        return $leases;
    }

    /** @param  list<string>  $words */
    private static function lease(array $words): ?Lease
    {
        [$expires, $hardware, $address, $name, $id] = [...$words, '', '', '', '*'];
        if (! ctype_digit($expires) || isset($expires[18]) || $address === '') {
            return null;
        }
        $id = match (true) {
            $id === '*' => null,
            strspn($id, '0123456789abcdef:') === strlen($id) && isset($id[1]) => $id,
            default => ClientId::hex($id),
        };
        $name = $name === '*' || $name === '' ? null : $name;
        if (Ipv4::isOne($address)) {
            $mac = Mac::standard($hardware);

            // "06-02:4b:…": another kind of hardware than Ethernet.
            return $mac === null && preg_match('/^[0-9a-f]{2}-[0-9a-f:]{2,}$/Di', $hardware) !== 1
                ? null
                : new Lease($address, $mac, $name, (int) $expires ?: null, Lease::ACTIVE, $id);
        }
        $address = Ipv6::tryParse($address);

        return $address === null || preg_match('/^T?\d{1,10}$/D', $hardware) !== 1
            ? null
            : new Lease((string) $address, ClientId::mac($id), $name, (int) $expires ?: null, Lease::ACTIVE, $id);
    }
}
