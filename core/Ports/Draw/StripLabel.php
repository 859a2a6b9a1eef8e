<?php

declare(strict_types=1);

namespace Burrow\Ports\Draw;

/** A port on the strip: its dot, and its label where it has found room. */
final readonly class StripLabel
{
    /**
     * @param  float  $at  where its port lies on the band
     * @param  float  $x  where its label begins, and $elbow where the line from it goes down
     * @param  string  $number  empty where it has no label
     * @param  string  $met  the name of a Met
     */
    public function __construct(
        public float $at,
        public string $met,
        public float $x = 0.0,
        public float $elbow = 0.0,
        public float $y = 0.0,
        public float $width = 0.0,
        public string $number = '',
        public string $text = '',
    ) {
    }
}
