<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Quantity\Rate;

/** One link of the chain that a file passes through, with the most it lets through. */
final readonly class Limit
{
    public function __construct(public string $name, public Rate $rate, public string $because)
    {
    }
}
