<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

use Burrow\Drawing\Way;

/** A way from a chamber up to the open air, with what stands beside its mouth. */
final readonly class Shaft
{
    /** @param  list<string>  $labels at most three */
    public function __construct(
        public Way $way,
        public float $x,
        public float $mouth,
        public array $labels,
        public bool $labelsLeft,
    ) {
    }
}
