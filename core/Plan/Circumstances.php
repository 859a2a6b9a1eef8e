<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Bytes;
use InvalidArgumentException;

/** What is so in this household whatever parts are chosen: room, price of a kilowatt-hour, the copy that matters. */
final readonly class Circumstances
{
    /** @throws InvalidArgumentException outside of what a household can be */
    public function __construct(
        public float $roomCelsius = 24,
        public float $pricePerKilowattHour = 0.30,
        public ?Bytes $copy = null,
    ) {
        if ($roomCelsius < -20 || $roomCelsius > 60) {
            throw new InvalidArgumentException("No room of a household is at {$roomCelsius} °C.");
        }
        if ($pricePerKilowattHour < 0) {
            throw new InvalidArgumentException('A kilowatt-hour does not cost less than nothing.');
        }
    }

    public function copy(): Bytes
    {
        return $this->copy ?? Bytes::giga(50);
    }
}
