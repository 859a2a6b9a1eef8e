<?php

declare(strict_types=1);

namespace Burrow\Quantity;

use InvalidArgumentException;

/** A length of time in seconds, 0 and up. */
final readonly class Duration
{
    private function __construct(public float $seconds)
    {
    }

    /** @throws InvalidArgumentException when negative */
    public static function seconds(float $seconds): self
    {
        if ($seconds < 0) {
            throw new InvalidArgumentException("A length of time cannot be negative: {$seconds} s.");
        }

        return new self($seconds);
    }

    public static function minutes(float $minutes): self
    {
        return self::seconds($minutes * 60);
    }

    public function plus(self $other): self
    {
        return new self($this->seconds + $other->seconds);
    }

    /** "07:42", or "1:07:42" from an hour on: what a countdown shows. */
    public function clock(): string
    {
        $whole = (int) round($this->seconds);
        $hours = intdiv($whole, 3600);
        $rest = sprintf('%02d:%02d', intdiv($whole % 3600, 60), $whole % 60);

        return $hours > 0 ? $hours.':'.$rest : $rest;
    }

    /** "40 s", "11 min", "2 h 30 min", "3 days": what a sentence says. */
    public function __toString(): string
    {
        $seconds = (int) round($this->seconds);
        if ($seconds < 90) {
            return $seconds.' s';
        }
        $minutes = (int) round($this->seconds / 60);
        if ($minutes < 120) {
            return $minutes.' min';
        }
        if ($minutes < 48 * 60) {
            return intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
        }

        return (int) round($minutes / 1440).' days';
    }
}
