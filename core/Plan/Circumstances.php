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

    public Bytes $dailyChange;

    /**
     * @param  ?Bytes  $copy  the copy that matters to the household; 50 GB when it did not say
     * @param  float  $downMegabits  of the internet line, as are the up ones
     * @param  float  $batteryWattHours  of a back-up supply; 0 for none
     * @param  ?Money  $subscription  a month, of what the box replaces
     * @param  string  $client  from what it will be used: "desktop", "phone", "browser", "television", "program";
     *         empty when nobody said
     * @param  ?Bytes  $dailyChange  of the files that go over the line; 1 GB when it did not say
     * @param  float  $awayDays  that a travelling box is out of reach
     * @param  float  $farDownMegabits  of the line at the far end
     * @param  float  $relayMegabits  of a relay between the two; 0 when they meet directly
     * @param  float  $streamMegabits  of what is watched over the network
     *
     * @throws InvalidArgumentException outside of what a household can be
     */
    public function __construct(
        public float $roomCelsius = 24,
        public float $pricePerKilowattHour = 0.3,
        ?Bytes $copy = null,
        public Duty $duty = Duty::AroundTheClock,
        public float $downMegabits = 50,
        public float $upMegabits = 10,
        public float $batteryWattHours = 0,
        public ?Money $subscription = null,
        public string $client = '',
        ?Bytes $dailyChange = null,
        public float $awayDays = 7,
        public float $farDownMegabits = 50,
        public float $relayMegabits = 0,
        public float $streamMegabits = 40,
    ) {
        if ($roomCelsius < -20 || $roomCelsius > 60) {
            throw new InvalidArgumentException("No room of a household is at {$roomCelsius} °C.");
        }
        if (
            $pricePerKilowattHour < 0 ||
            $downMegabits <= 0 ||
            $upMegabits <= 0 ||
            $batteryWattHours < 0 ||
            $awayDays < 0 ||
            $farDownMegabits <= 0 ||
            $relayMegabits < 0 ||
            $streamMegabits <= 0
        ) {
            throw new InvalidArgumentException('A price, a line or a battery cannot be less than nothing.');
        }
        $this->copy = $copy ?? Bytes::giga(50);
        $this->dailyChange = $dailyChange ?? Bytes::giga(1);
    }
}
