<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** A TCP or UDP port, 1 to 65535. Ranges after RFC 6335. */
final readonly class Port
{
    private function __construct(public int $number)
    {
    }

    public static function tryOf(int $number): ?self
    {
        return $number >= 1 && $number <= 65535 ? new self($number) : null;
    }

    /** @throws InvalidArgumentException when out of range */
    public static function of(int $number): self
    {
        return self::tryOf($number) ??
            throw new InvalidArgumentException("A port is a number from 1 to 65535: {$number}.");
    }

    /** "system" below 1024, "user" to 49151, "dynamic" above. */
    public function range(): string
    {
        return match (true) {
            $this->number < 1024 => 'system',
            $this->number <= 49151 => 'user',
            default => 'dynamic',
        };
    }
}
