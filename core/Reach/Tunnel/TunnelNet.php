<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use InvalidArgumentException;

/**
 * The small network inside a tunnel: a prefix of RFC 1918 of 8 to 65 536 addresses, its first address the endpoint's,
 * the others the devices'.
 */
final readonly class TunnelNet
{
    private const LARGEST = 16;

    private const SMALLEST = 29;

    public Prefix $prefix;

    /** @throws InvalidArgumentException for what is no private network of such a size */
    public function __construct(string $text)
    {
        $prefix = Prefix::tryParse($text);
        if (
            $prefix === null ||
            ! $prefix->isPrivate() ||
            $prefix->length < self::LARGEST ||
            $prefix->length > self::SMALLEST
        ) {
            throw new InvalidArgumentException("Not a private network of 8 to 65536 addresses: {$text}.");
        }
        $this->prefix = $prefix;
    }

    public function prefix(): string
    {
        return (string) $this->prefix;
    }

    public function endpoint(): string
    {
        return (string) $this->prefix->hosts()->first;
    }

    /** @param  int  $number  1 for the first device */
    public function device(int $number = 1): string
    {
        return (string) Ipv4::fromNumber($this->prefix->hosts()->first->number + $number);
    }
}
