<?php

declare(strict_types=1);

namespace Burrow\Quantity;

/** An electric resistance in ohms. */
final readonly class Ohms
{
    private function __construct(public float $ohms)
    {
    }

    public static function of(float $ohms): self
    {
        return new self($ohms);
    }

    public function __toString(): string
    {
        return number_format($this->ohms * 1000, 0, '.', '').' mΩ';
    }
}
