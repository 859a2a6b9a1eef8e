<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;

/**
 * An attached disk: capacity, sustained rate, the current it takes from the board (zero with its own supply), and what
 * may be written to it over its life (null when it spins).
 */
final readonly class Drive
{
    public function __construct(
        public string $id,
        public string $label,
        public bool $spins,
        public Bytes $capacity,
        public Rate $rate,
        public Amps $running,
        public Amps $starting,
        public Money $price,
        public ?Bytes $endurance = null,
        public Market $market = new Market(),
    ) {
    }
}
