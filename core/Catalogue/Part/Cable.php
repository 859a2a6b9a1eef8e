<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Money;

/** A supply cable: gauge of its power conductors (AWG) and length in metres, one way. */
final readonly class Cable
{
    public function __construct(
        public string $id,
        public string $label,
        public int $gauge,
        public float $metres,
        public Money $price,
        public string $plug,
        public Market $market = new Market(),
    ) {
    }
}
