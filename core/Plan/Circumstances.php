<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use InvalidArgumentException;

/** What is so in this household whatever parts are chosen. */
final readonly class Circumstances
{
    public Bytes $copy;

    /**
     * @param  ?Bytes  $copy  the copy that matters to the household; 50 GB when it did not say
     * @param  float  $downMegabits  of the internet line, as are the up ones
     * @param  float  $batteryWattHours  of a back-up supply; 0 for none
     * @param  ?Money  $subscription  a month, of what the box replaces
     * @param  string  $client  from what it will be used: "desktop", "phone", "browser", "television", "program"
     *
     * @throws InvalidArgumentException outside of what a household can be
     */
    public function __construct(
        public float $roomCelsius = 24,
        public float $pricePerKilowattHour = 0.30,
        ?Bytes $copy = null,
        public Duty $duty = Duty::AroundTheClock,
        public float $downMegabits = 50,
        public float $upMegabits = 10,
        public float $batteryWattHours = 0,
        public ?Money $subscription = null,
        public string $client = 'desktop',
    ) {
        if ($roomCelsius < -20 || $roomCelsius > 60) {
            throw new InvalidArgumentException("No room of a household is at {$roomCelsius} °C.");
        }
        if ($pricePerKilowattHour < 0 || $downMegabits <= 0 || $upMegabits <= 0 || $batteryWattHours < 0) {
            throw new InvalidArgumentException('A price, a line or a battery cannot be less than nothing.');
        }
        $this->copy = $copy ?? Bytes::giga(50);
    }
}
