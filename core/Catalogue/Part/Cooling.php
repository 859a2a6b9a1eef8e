<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Money;

/** Sinks or a fan: the share of a case's warming that is left with it, and the current it takes from the board. */
final readonly class Cooling
{
    public function __construct(
        public string $id,
        public string $label,
        public float $share,
        public Amps $current,
        public Money $price,
        public Market $market,
        public bool $sinks = false,
    ) {
    }
}
