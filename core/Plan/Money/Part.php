<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Quantity\Money;

/** One line of a shopping list. */
final readonly class Part
{
    /**
     * @param  string  $key  its kind and id in the catalogue: "board/flint"
     * @param  string  $because  why it is needed, where that is not plain
     */
    public function __construct(
        public string $key,
        public string $label,
        public Money $price,
        public string $because = '',
    ) {
    }
}
