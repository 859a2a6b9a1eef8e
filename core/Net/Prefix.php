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

    /** The prefix of this length that an address lies in. */
    public static function around(Ipv4 $address, int $length): self
    {
        return new self(Ipv4::fromNumber($address->number & self::maskNumber($length)), $length);
    }

    /** Null unless written as a netmask whose ones stand before its zeros. */
    public static function lengthOf(string $netmask): ?int
    {
        $mask = Ipv4::tryParse($netmask);
        for ($length = 0; $mask !== null && $length <= 32; $length++) {
            if ($mask->number === self::maskNumber($length)) {
                return $length;
            }
        }

        return null;
    }

    /**
     * The fewest prefixes that cover exactly these addresses (RFC 4632 section 3.1).
     *
     * @return list<self>
     */
    public static function covering(AddressRange $range): array
    {
        $prefixes = [];
        for ($at = $range->first->number; $at <= $range->last->number; $at += 2 ** (32 - $length)) {
            $length = 32;
            while (
                $length > 0 &&
                ($at & ~self::maskNumber($length - 1) & 0xFFFFFFFF) === 0 &&
                $at + 2 ** (33 - $length) - 1 <= $range->last->number
            ) {
                $length--;
            }
            $prefixes[] = new self(Ipv4::fromNumber($at), $length);
        }

        return $prefixes;
    }

    /**
     * The same addresses in the fewest prefixes, in order; what lies in another one or twice counts once.
     *
     * @param  list<self>  $prefixes
     * @return list<self>
     */
    public static function joined(array $prefixes): array
    {
        usort(
            $prefixes,
            fn (self $one, self $other): int => [$one->network->number, $one->length] <=> [
                $other->network->number,
                $other->length,
            ],
        );
        $joined = [];
        $first = $last = null;
        foreach ([...$prefixes, null] as $prefix) {
            if ($first !== null && $last !== null && ($prefix === null || $prefix->network->number > $last + 1)) {
                $joined[] = self::covering(
                    AddressRange::between(Ipv4::fromNumber($first), Ipv4::fromNumber($last)),
                );
                $first = $last = null;
            }
            if ($prefix !== null) {
                $first ??= $prefix->network->number;
                $last = max($last ?? 0, $prefix->broadcast()->number);
            }
        }

        return array_merge(...$joined);
    }

    /**
     * The parts of a longer length, in order.
     *
     * @return list<self>
     *
     * @throws InvalidArgumentException for a shorter length, or for more than 4096 parts
     */
    public function split(int $length): array
    {
        if ($length < $this->length || $length > 32 || $length - $this->length > 12) {
            throw new InvalidArgumentException("{$this} is not split into /{$length}.");
        }
        $parts = [];
        for ($at = 0; $at < 2 ** ($length - $this->length); $at++) {
            $parts[] = new self($this->network->offset($at * 2 ** (32 - $length)), $length);
        }

        return $parts;
    }

    public function overlaps(self $other): bool
    {
        return $this->contains($other->network) || $other->contains($this->network);
    }

    /** Addresses that machines can have: without network and broadcast, but for /31 (RFC 3021) and /32. */
    public function hosts(): AddressRange
    {
        return $this->length >= 31
            ? AddressRange::between($this->network, $this->broadcast())
            : AddressRange::between($this->network->offset(1), $this->broadcast()->offset(-1));
    }

    /** Where names of its addresses are looked up: zones at whole bytes (RFC 1035 section 3.5). */
    public function reverseZone(): string
    {
        $parts = array_slice(explode('.', (string) $this->network), 0, max(1, intdiv($this->length, 8)));

        return implode('.', array_reverse($parts)).'.in-addr.arpa';
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
