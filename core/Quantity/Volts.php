<?php

declare(strict_types=1);

namespace Burrow\Quantity;

/** An electric potential difference in volts. */
final readonly class Volts
{
    private function __construct(public float $volts)
    {
    }

    public static function of(float $volts): self
    {
        return new self($volts);
    }

    /** Ohm's law: what is lost along a resistance. */
    public static function across(Ohms $resistance, Amps $current): self
    {
        return new self($resistance->ohms * $current->amps);
    }

    public function less(self $other): self
    {
        return new self($this->volts - $other->volts);
    }

    public function __toString(): string
    {
        return number_format($this->volts, 2, '.', '').' V';
    }
}
