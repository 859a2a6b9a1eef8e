<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening\Draw;

/** A stretch of time in a lane. */
final readonly class Bar
{
    /** @param  'hands'|'wait'|'free'  $kind */
    public function __construct(
        public string $kind,
        public float $x,
        public float $width,
        public string $label,
        public string $told,
    ) {
    }
}
