<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/**
 * What is known of a part in the shops: the month its price is of ("2026-09", or empty), and whether it is to be had.
 */
final readonly class Market
{
    public function __construct(public string $priced = '', public bool $available = true)
    {
    }
}
