<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** An IPv4 address (RFC 791), held as its 32-bit number. */
final readonly class Ipv4
{
    /** RFC 1918. */
    public const PRIVATE_RANGES = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16'];

    private function __construct(public int $number)
    {
    }

    /** @throws InvalidArgumentException when the number does not fit 32 bits */
    public static function fromNumber(int $number): self
    {
        if ($number < 0 || $number > 0xFFFFFFFF) {
            throw new InvalidArgumentException("Not a 32-bit number: {$number}.");
        }

        return new self($number);
    }

    /** Four decimal parts without leading zeros (some programs read those as octal); null for anything else. */
    public static function tryParse(string $text): ?self
    {
        if (preg_match('/^(?:(?:0|[1-9]\d{0,2})\.){3}(?:0|[1-9]\d{0,2})$/D', $text) !== 1) {
            return null;
        }
        $number = 0;
        foreach (explode('.', $text) as $part) {
            if ((int) $part > 255) {
                return null;
            }
            $number = ($number << 8) | (int) $part;
        }

        return new self($number);
    }

    /** @throws InvalidArgumentException when the text is no IPv4 address */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not an IPv4 address: {$text}.");
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    /** The address some places further on, or back. */
    public function offset(int $by): self
    {
        return self::fromNumber($this->number + $by);
    }

    /** The same last 24 bits in 127.0.0.0/8: where the bench stands in for this address. */
    public function onLoopback(): self
    {
        return new self((127 << 24) | ($this->number & 0xFFFFFF));
    }

    /** RFC 1918. */
    public function isPrivate(): bool
    {
        foreach (self::PRIVATE_RANGES as $range) {
            if (Prefix::parse($range)->contains($this)) {
                return true;
            }
        }

        return false;
    }

    public function __toString(): string
    {
        return implode('.', [
            $this->number >> 24,
            ($this->number >> 16) & 255,
            ($this->number >> 8) & 255,
            $this->number & 255,
        ]);
    }
}
