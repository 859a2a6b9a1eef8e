<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Money;

/**
 * A case by how much warmer than the room the board gets in it: kelvin for each watt; some bring heat sinks of their
 * own.
 */
final readonly class Enclosure
{
    public function __construct(
        public string $id,
        public string $label,
        public float $kelvinPerWatt,
        public bool $takesAddOn,
        public Money $price,
        public Market $market = new Market(),
        public bool $sinks = false,
    ) {
    }
}
