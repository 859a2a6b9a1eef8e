<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Money;

/** A small part that connectors call for, and that people leave out of the sum. */
final readonly class Adapter
{
    /**
     * @param  string  $from  the socket or plug it is for, or empty
     * @param  string  $to  what it becomes, or empty
     * @param  int  $sockets  of a hub
     * @param  Amps  $current  that a powered hub gives to all its sockets together
     * @param  float  $megabits  line rate of its network socket, in Mb/s
     * @param  SdBus  $bus  of a card reader
     */
    public function __construct(
        public string $id,
        public string $label,
        public AdapterKind $does,
        public string $from,
        public string $to,
        public int $sockets,
        public Amps $current,
        public float $megabits,
        public SdBus $bus,
        public Money $price,
        public Market $market,
    ) {
    }
}
