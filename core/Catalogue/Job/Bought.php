<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Watts;

/** The thing bought ready-made instead of built: a fair variant for many jobs. */
final readonly class Bought
{
    public function __construct(
        public string $label,
        public Money $price,
        public Watts $power,
        public Duration $hands,
        public string $risk,
    ) {
    }
}
