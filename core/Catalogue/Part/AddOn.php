<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Money;

/**
 * A board or converter that gives the box something it has not: proper sound, power over the network cable, a clock.
 */
final readonly class AddOn
{
    /**
     * @param  string  $gives  "audio", "network power" or "clock"
     * @param  string  $plug  "header" or "USB-A"
     * @param  int  $pins  of the header it sits on; 0 on USB
     * @param  ?int  $poeType  1 or 2 when it takes power over Ethernet (IEEE 802.3)
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $gives,
        public string $plug,
        public int $pins,
        public Amps $current,
        public ?int $poeType,
        public Money $price,
        public Market $market,
    ) {
    }
}
