<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** An IPv4 prefix in CIDR notation (RFC 4632), always at its network address. */
final readonly class Prefix
{
    private function __construct(public Ipv4 $network, public int $length)
    {
    }

    /** Null unless written as address/length, 0 to 32, with no host bits set. */
    public static function tryParse(string $text): ?self
    {
        if (preg_match('~^([\d.]+)/(\d{1,2})$~D', $text, $match) !== 1 || (int) $match[2] > 32) {
            return null;
        }
        $address = Ipv4::tryParse($match[1]);
        if ($address === null || ($address->number & ~self::maskNumber((int) $match[2])) !== 0) {
            return null;
        }

        return new self($address, (int) $match[2]);
    }

    /** @throws InvalidArgumentException when the text is no prefix */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not an IPv4 prefix: {$text}.");
    }

    public function contains(Ipv4 $address): bool
    {
        return ($address->number & self::maskNumber($this->length)) === $this->network->number;
    }

    /** Every address of it lies in one of the ranges of RFC 1918. */
    public function isPrivate(): bool
    {
        foreach (Ipv4::PRIVATE_RANGES as $range) {
            $private = self::parse($range);
            if ($private->length <= $this->length && $private->contains($this->network)) {
                return true;
            }
        }

        return false;
    }

    public function netmask(): Ipv4
    {
        return Ipv4::fromNumber(self::maskNumber($this->length));
    }

    /** The all-ones address (RFC 919). */
    public function broadcast(): Ipv4
    {
        return Ipv4::fromNumber($this->network->number + $this->size() - 1);
    }

    /** Number of addresses, network and broadcast included. */
    public function size(): int
    {
        return 2 ** (32 - $this->length);
    }

    public function __toString(): string
    {
        return $this->network.'/'.$this->length;
    }

    private static function maskNumber(int $length): int
    {
        return (0xFFFFFFFF << (32 - $length)) & 0xFFFFFFFF;
    }
}
