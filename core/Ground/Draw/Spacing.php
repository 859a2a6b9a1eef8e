<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/** How far things of the cross-section stand apart, in picture units. */
final readonly class Spacing
{
    private function __construct(
        public bool $dense,
        public float $gallery,
        public float $firstRow,
        public float $chamberHeight,
        public float $rowGap,
        public float $gutter,
    ) {
    }

    public static function roomy(): self
    {
        return new self(false, 196, 244, 92, 44, 40);
    }

    /** Thirty chambers on a screen of 1280 × 800: six rows end before 700. */
    public static function dense(): self
    {
        return new self(true, 188, 217, 58, 21, 30);
    }
}
