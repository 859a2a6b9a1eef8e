<?php

declare(strict_types=1);

namespace Burrow\Ports\Draw;

/** Ports that are reached from equally far away. */
final readonly class Stratum
{
    /**
     * @param  string  $id  "world", "tunnel", "house" or "box"
     * @param  int  $count  ports in it, drawn or not
     * @param  list<Chip>  $chips
     * @param  int  $more  chips that found no room; a last one at moreX and moreY tells how many
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $under,
        public int $count,
        public float $y,
        public float $height,
        public array $chips,
        public int $more,
        public float $moreX,
        public float $moreY,
    ) {
    }
}
