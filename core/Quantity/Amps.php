<?php

declare(strict_types=1);

namespace Burrow\Quantity;

/** An electric current in amperes. */
final readonly class Amps
{
    private function __construct(public float $amps)
    {
    }

    public static function of(float $amps): self
    {
        return new self($amps);
    }

    public function plus(self $other): self
    {
        return new self($this->amps + $other->amps);
    }

    public function __toString(): string
    {
        return number_format($this->amps, 2, '.', '').' A';
    }
}
