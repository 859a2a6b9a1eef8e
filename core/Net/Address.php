<?php

declare(strict_types=1);

namespace Burrow\Net;

/** Either kind of internet address, as texts hold them. */
final class Address
{
    /** An IPv4 or IPv6 address; null for anything else. */
    public static function tryParse(string $text): Ipv4|Ipv6|null
    {
        return str_contains($text, ':') ? Ipv6::tryParse($text) : Ipv4::tryParse($text);
    }

    /** The shortest standard form, without making an object of an IPv4 address; null for anything else. */
    public static function standard(string $text): ?string
    {
        if (str_contains($text, ':')) {
            $address = Ipv6::tryParse($text);

            return $address === null ? null : (string) $address;
        }

        // An IPv4 address has one form only.
        return Ipv4::isOne($text) ? $text : null;
    }

    /** Sorts like the numbers they are, IPv4 first. */
    public static function compare(Ipv4|Ipv6 $one, Ipv4|Ipv6 $other): int
    {
        return match (true) {
            $one instanceof Ipv4 && $other instanceof Ipv4 => $one->number <=> $other->number,
            $one instanceof Ipv6 && $other instanceof Ipv6 => strcmp($one->bytes, $other->bytes),
            default => $one instanceof Ipv4 ? -1 : 1,
        };
    }

    private function __construct()
    {
    }
}
