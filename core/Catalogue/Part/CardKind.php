<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;

/** A kind of memory card: what it holds, how fast it writes, and how often a cell may be erased. */
final readonly class CardKind
{
    public function __construct(
        public string $id,
        public string $label,
        public Bytes $capacity,
        public Rate $write,
        public Rate $read,
        public int $eraseCycles,
        public Money $price,
        public SdBus $bus,
        public Market $market = new Market(),
    ) {
    }
}
