<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Net\Ipv4;
use InvalidArgumentException;

/**
 * The small network inside a tunnel: a /24 of RFC 1918, its first address the endpoint's, the others the devices'.
 */
final readonly class TunnelNet
{
    private string $stem;

    /** @throws InvalidArgumentException for what is no private network of this size */
    public function __construct(string $text)
    {
        $address = Ipv4::tryParse(explode('/', $text)[0]);
        if (preg_match('~^(\d+\.\d+\.\d+)\.0/24$~D', $text, $match) !== 1 || $address?->isPrivate() !== true) {
            throw new InvalidArgumentException("Not a private network of 256 addresses: {$text}.");
        }
        $this->stem = $match[1];
    }

    public function prefix(): string
    {
        return "{$this->stem}.0/24";
    }

    public function endpoint(): string
    {
        return "{$this->stem}.1";
    }

    /** @param  int  $number  1 for the first device */
    public function device(int $number = 1): string
    {
        return "{$this->stem}.".(1 + $number);
    }
}
