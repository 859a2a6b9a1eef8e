<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

use Burrow\Net\AddressRange;

/** Addresses of one kind beside each other on a shelf. */
final readonly class Run
{
    /** @param  bool  $told  there is room in it for words */
    public function __construct(
        public AddressRange $range,
        public float $x,
        public float $width,
        public bool $told,
    ) {
    }
}
