<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

/** What a client calls itself towards a DHCP server, as bytes. */
final class ClientId
{
    /** The bytes in hexadecimal with colons, in lower case; null where the text is none or too long (RFC 8415 11.1). */
    public static function hex(string $text): ?string
    {
        $plain = strtolower(str_replace([':', '-'], '', $text));

        return $plain !== '' && strlen($plain) <= 512 && strlen($plain) % 2 === 0 && ctype_xdigit($plain)
            ? implode(':', str_split($plain, 2))
            : null;
    }

    /**
     * The hardware address in a DUID of link-layer address, with time or without (RFC 8415 11.2, 11.4), or behind a
     * leading hardware type of Ethernet in a client identifier (RFC 2132 9.14); null in others.
     */
    public static function mac(?string $hex): ?string
    {
        return match (true) {
            $hex === null => null,
            preg_match('/^00:01:00:01(?::[0-9a-f]{2}){4}((?::[0-9a-f]{2}){6})$/D', $hex, $m) === 1,
            preg_match('/^00:03:00:01((?::[0-9a-f]{2}){6})$/D', $hex, $m) === 1,
            preg_match('/^01((?::[0-9a-f]{2}){6})$/D', $hex, $m) === 1 => substr($m[1], 1),
            default => null,
        };
    }

    private function __construct()
    {
    }
}
