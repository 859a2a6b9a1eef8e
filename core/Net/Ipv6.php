<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** An IPv6 address (RFC 4291), held as its 16 bytes. */
final readonly class Ipv6
{
    private function __construct(public string $bytes)
    {
    }

    /**
     * Any spelling of RFC 4291 section 2.2; a zone like "%eth0" behind a link-local address is left out (RFC 4007).
     * Null for anything else.
     */
    public static function tryParse(string $text): ?self
    {
        $text = preg_match('/^(fe[89ab][0-9a-f:.]*)%[\w.-]{1,32}$/Di', $text, $match) === 1 ? $match[1] : $text;
        if (
            strlen($text) > 45 ||
            ! str_contains($text, ':') ||
            strspn($text, '0123456789abcdefABCDEF:.') !== strlen($text)
        ) {
            return null;
        }
        $bytes = @inet_pton($text);

        return $bytes !== false && strlen($bytes) === 16 ? new self($bytes) : null;
    }

    /** @throws InvalidArgumentException when the text is no IPv6 address */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not an IPv6 address: {$text}.");
    }

    /** @throws InvalidArgumentException when there are not sixteen bytes */
    public static function fromBytes(string $bytes): self
    {
        return strlen($bytes) === 16 ? new self($bytes) : throw new InvalidArgumentException('Not sixteen bytes.');
    }

    public function equals(Ipv4|self $other): bool
    {
        return $other instanceof self && $this->bytes === $other->bytes;
    }

    /** fe80::/10: made by the machine itself, good on its own cable only (RFC 4291 section 2.5.6). */
    public function isLinkLocal(): bool
    {
        return ((ord($this->bytes[0]) << 8) | ord($this->bytes[1])) >> 6 === 0x3FA;
    }

    /** fc00::/7 (RFC 4193). */
    public function isUniqueLocal(): bool
    {
        return (ord($this->bytes[0]) & 0xFE) === 0xFC;
    }

    /** The shortest standard form (RFC 5952), without the dotted form of embedded IPv4 addresses. */
    public function __toString(): string
    {
        $words = array_values(unpack('n8', $this->bytes) ?: []);
        [$best, $length] = [8, 1];
        for ($at = 0; $at < 8; $at++) {
            $run = 0;
            while ($at + $run < 8 && $words[$at + $run] === 0) {
                $run++;
            }
            [$best, $length] = $run > $length ? [$at, $run] : [$best, $length];
            $at += max(0, $run - 1);
        }
        $hex = fn (array $some): string => implode(':', array_map(dechex(...), $some));

        return $best === 8
            ? $hex($words)
            : $hex(array_slice($words, 0, $best)).'::'.$hex(array_slice($words, $best + $length));
    }
}
