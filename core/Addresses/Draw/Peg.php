<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

/** Where somebody stands on a shelf. */
final readonly class Peg
{
    /** @param  int  $level  line of its name above the band, from 1; 0 where there is no room for it */
    public function __construct(public Standing $standing, public float $x, public int $level)
    {
    }
}
