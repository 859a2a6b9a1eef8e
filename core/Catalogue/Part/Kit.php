<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Money;

/** Several parts sold as one, or one part that covers several needs. */
final readonly class Kit
{
    /** @param  non-empty-list<string>  $holds  kind/id of each part in it */
    public function __construct(
        public string $id,
        public string $label,
        public array $holds,
        public Money $price,
        public Market $market,
    ) {
    }
}
