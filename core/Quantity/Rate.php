<?php

declare(strict_types=1);

namespace Burrow\Quantity;

use InvalidArgumentException;

/** A rate of data in bytes a second, above 0. One MB is 10⁶ bytes, one Mb is 10⁶ bits. */
final readonly class Rate
{
    private function __construct(public float $bytesPerSecond)
    {
    }

    /** @throws InvalidArgumentException when not above zero */
    public static function bytesPerSecond(float $rate): self
    {
        if ($rate <= 0) {
            throw new InvalidArgumentException("A rate must be above zero: {$rate} B/s.");
        }

        return new self($rate);
    }

    public static function megabytesPerSecond(float $rate): self
    {
        return self::bytesPerSecond($rate * 1e6);
    }

    public static function megabitsPerSecond(float $rate): self
    {
        return self::bytesPerSecond(($rate * 1e6) / 8);
    }

    public function times(float $factor): self
    {
        return self::bytesPerSecond($this->bytesPerSecond * $factor);
    }

    public function isBelow(self $other): bool
    {
        return $this->bytesPerSecond < $other->bytesPerSecond;
    }

    public function inMegabytes(): float
    {
        return $this->bytesPerSecond / 1e6;
    }

    public function timeFor(Bytes $amount): Duration
    {
        return Duration::seconds($amount->count / $this->bytesPerSecond);
    }

    public function __toString(): string
    {
        $megabytes = $this->inMegabytes();

        return number_format($megabytes, $megabytes < 100 ? 1 : 0, '.', '').' MB/s';
    }
}
