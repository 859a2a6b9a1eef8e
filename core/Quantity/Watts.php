<?php

declare(strict_types=1);

namespace Burrow\Quantity;

/** A power in watts. */
final readonly class Watts
{
    private function __construct(public float $watts)
    {
    }

    public static function of(float $watts): self
    {
        return new self($watts);
    }

    /** Current drawn from a supply at the given voltage. */
    public function at(Volts $voltage): Amps
    {
        return Amps::of($this->watts / $voltage->volts);
    }

    /** Running around the clock: W × 8.76 gives kWh a year. */
    public function kilowattHoursPerYear(): float
    {
        return $this->watts * 8.76;
    }

    public function __toString(): string
    {
        return number_format($this->watts, 1, '.', '').' W';
    }
}
