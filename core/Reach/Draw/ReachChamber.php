<?php

declare(strict_types=1);

namespace Burrow\Reach\Draw;

/** A box in the picture of ways in. */
final readonly class ReachChamber
{
    /** @param  int  $id  of the box */
    public function __construct(
        public int $id,
        public float $x,
        public float $y,
        public string $name,
        public string $under,
        public bool $answers,
        public bool $touched,
    ) {
    }
}
