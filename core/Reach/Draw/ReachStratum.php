<?php

declare(strict_types=1);

namespace Burrow\Reach\Draw;

/** Boxes that are reached from outside in the same way. */
final readonly class ReachStratum
{
    /**
     * @param  string  $id  "touched", "tunnel" or "not"
     * @param  list<ReachChamber>  $chambers
     * @param  int  $more  boxes that have no place in it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $under,
        public float $y,
        public float $height,
        public array $chambers,
        public int $more = 0,
    ) {
    }
}
