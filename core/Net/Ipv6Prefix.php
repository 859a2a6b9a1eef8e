<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** An IPv6 prefix (RFC 4291 section 2.3), always at its network address. */
final readonly class Ipv6Prefix
{
    private function __construct(public Ipv6 $network, public int $length)
    {
    }

    /** Null unless written as address/length, 0 to 128, with no host bits set. */
    public static function tryParse(string $text): ?self
    {
        if (preg_match('~^([0-9a-f:.]{2,45})/(\d{1,3})$~Di', $text, $match) !== 1 || (int) $match[2] > 128) {
            return null;
        }
        $address = Ipv6::tryParse($match[1]);

        return $address !== null && ($address->bytes & self::mask((int) $match[2])) === $address->bytes
            ? new self($address, (int) $match[2])
            : null;
    }

    /** @throws InvalidArgumentException when the text is no prefix */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not an IPv6 prefix: {$text}.");
    }

    /**
     * A unique-local prefix of 48 bits by the sample algorithm of RFC 4193 section 3.2.2: fd, then the last 40 bits
     * of the SHA-1 of the time and an identifier of the machine.
     *
     * @param  float  $at  seconds since 1970; becomes a 64-bit NTP time (RFC 5905 section 6)
     * @param  Mac  $machine  whose EUI-64 stands behind the time (RFC 4291 appendix A)
     */
    public static function uniqueLocal(float $at, Mac $machine): self
    {
        $seconds = (int) floor($at);
        $ntp = pack('NN', ($seconds + 2208988800) & 0xFFFFFFFF, (int) (($at - $seconds) * 4294967296) & 0xFFFFFFFF);
        $bytes = (string) hex2bin(str_replace(':', '', (string) $machine));
        $bytes[0] = chr(ord($bytes[0]) ^ 2);
        $eui = substr($bytes, 0, 3)."\xFF\xFE".substr($bytes, 3);
        $global = substr(sha1($ntp.$eui, true), -5);

        return new self(Ipv6::fromBytes("\xFD".$global.str_repeat("\0", 10)), 48);
    }

    public function contains(Ipv6 $address): bool
    {
        return ($address->bytes & self::mask($this->length)) === $this->network->bytes;
    }

    /**
     * The n-th prefix of 64 bits inside, as a network of a home is numbered.
     *
     * @throws InvalidArgumentException when there are not so many
     */
    public function subnet(int $number): self
    {
        $bits = 64 - $this->length;
        if ($bits < 0 || $number < 0 || ($bits < 62 && $number >= 2 ** $bits)) {
            throw new InvalidArgumentException("No /64 number {$number} in {$this}.");
        }

        return new self(Ipv6::fromBytes($this->network->bytes | (pack('J', $number).str_repeat("\0", 8))), 64);
    }

    public function __toString(): string
    {
        return $this->network.'/'.$this->length;
    }

    private static function mask(int $length): string
    {
        return substr(
            str_repeat("\xFF", intdiv($length, 8)).
                chr((0xFF << (8 - ($length % 8))) & 0xFF).
                str_repeat("\0", 16),
            0,
            16,
        );
    }
}
