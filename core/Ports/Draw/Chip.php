<?php

declare(strict_types=1);

namespace Burrow\Ports\Draw;

/** One port in the picture, or several that are alike on several boxes. */
final readonly class Chip
{
    /**
     * @param  string  $wall  "planned", "silent" or "unplanned": how its edge is drawn
     * @param  string  $door  what stands before it: the value of an Access, or "" when nobody said
     * @param  bool  $cracked  two services want this place
     * @param  int  $boxes  on how many boxes
     * @param  string  $told  everything about it in a sentence
     */
    public function __construct(
        public float $x,
        public float $y,
        public string $number,
        public string $name,
        public string $under,
        public string $wall,
        public string $door,
        public bool $cracked,
        public int $boxes,
        public string $told,
        public string $key,
    ) {
    }
}
