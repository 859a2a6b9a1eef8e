<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

use Burrow\Net\AddressRange;

/** One fold of the band. */
final readonly class Shelf
{
    /**
     * @param  float  $y  upper edge of the band itself; names stand above
     * @param  list<Run>  $pools
     * @param  list<Run>  $gaps
     * @param  list<Peg>  $pegs
     */
    public function __construct(
        public AddressRange $range,
        public float $y,
        public float $width,
        public array $pools,
        public array $gaps,
        public array $pegs,
    ) {
    }
}
