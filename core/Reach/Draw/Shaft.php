<?php

declare(strict_types=1);

namespace Burrow\Reach\Draw;

/** An opening: a gap in the stones, a shaft down to its box, and the tag that hangs beside it. */
final readonly class Shaft
{
    /**
     * @param  int  $id  of the opening
     * @param  bool  $lid  only with a key; else anybody may knock
     * @param  string  $review  the day to look again, in words
     * @param  float  $tag  how wide its tag is
     * @param  int  $more  openings of the same box that are not drawn
     */
    public function __construct(
        public int $id,
        public float $x,
        public float $bottom,
        public bool $lid,
        public string $port,
        public string $owner,
        public string $reason,
        public string $review,
        public bool $past,
        public float $tag,
        public int $more,
    ) {
    }
}
