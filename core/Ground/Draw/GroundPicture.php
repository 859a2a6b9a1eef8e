<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

use Burrow\Drawing\Way;

/** The finished geometry of the cross-section. */
final readonly class GroundPicture
{
    /**
     * @param  list<Chamber>  $chambers
     * @param  list<Way>  $gallery  from the router down and along the first row
     * @param  list<Way>  $ways  from the gallery to the chambers
     * @param  list<Way>  $passages  what a box depends on
     * @param  list<Shaft>  $shafts
     * @param  bool  $dense  chambers stand close, and ways are thinner
     */
    public function __construct(
        public float $width,
        public float $height,
        public float $turf,
        public array $chambers,
        public array $gallery,
        public array $ways,
        public array $passages,
        public array $shafts,
        public bool $dense = false,
    ) {
    }
}
