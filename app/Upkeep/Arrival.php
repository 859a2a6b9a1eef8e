<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Box;
use Carbon\CarbonInterface;

/** A report on its way in: of which box, word for word, by which way, and when it came. */
final readonly class Arrival
{
    /** @param  string  $came  "pasted", "file", "pushed", "pulled" */
    public function __construct(
        public Box $box,
        public string $text,
        public string $came,
        public CarbonInterface $at,
    ) {
    }
}
