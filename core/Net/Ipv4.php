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

    /** Whether it is four decimal parts without leading zeros; as inet_pton(3), which takes nothing else. */
    public static function isOne(string $text): bool
    {
        return ! isset($text[15]) && ! str_contains($text, "\0") && ip2long($text) !== false;
    }

    /** Four decimal parts without leading zeros (some programs read those as octal); null for anything else. */
    public static function tryParse(string $text): ?self
    {
        return self::isOne($text) ? new self((int) ip2long($text)) : null;
    }

    /** @throws InvalidArgumentException when the text is no IPv4 address */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not an IPv4 address: {$text}.");
    }

    public function equals(self|Ipv6 $other): bool
    {
        return $other instanceof self && $this->number === $other->number;
    }

    /** The address some places further on, or back. */
    public function offset(int $by): self
    {
        return self::fromNumber($this->number + $by);
    }

    /**
     * Where the bench stands in for this address: the same last 24 bits in 127.0.0.0/8, but for those that would be the
     * machine's own 127.0.0.0/24, which are in 127.254.0.0/24.
     */
    public function onLoopback(): self
    {
        $last = $this->number & 0xFFFFFF;

        return new self((127 << 24) | ($last < 256 ? $last | 0xFE0000 : $last));
    }

    /** 169.254.0.0/16: no lease came, and the machine took one for itself (RFC 3927). */
    public function isLinkLocal(): bool
    {
        return $this->number >> 16 === 0xA9FE;
    }

    /** 100.64.0.0/10: between a provider's translator and its customers (RFC 6598). */
    public function isCarrier(): bool
    {
        return $this->number >> 22 === 401;
    }

    /** RFC 1918. */
    public function isPrivate(): bool
    {
        return $this->number >> 24 === 10 || $this->number >> 20 === 0xAC1 || $this->number >> 16 === 0xC0A8;
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
