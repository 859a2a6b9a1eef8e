<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Money;
use Burrow\Quantity\Volts;

/**
 * A power supply by what it gives at each socket and at all of them together; over the network cable with its type and
 * the watts that reach the device (IEEE 802.3).
 */
final readonly class Supply
{
    public function __construct(
        public string $id,
        public string $label,
        public Volts $voltage,
        public Amps $current,
        public Money $price,
        public ?int $poeType,
        public ?float $poeWatts,
        public int $outputs,
        public Amps $together,
        public Market $market = new Market(),
    ) {
    }
}
