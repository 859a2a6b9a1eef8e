<?php

declare(strict_types=1);

namespace Burrow\Stores;

/** What was used of a file system at one moment. */
final readonly class FillSample
{
    /** @param  int  $at  Unix seconds */
    public function __construct(public int $at, public int $usedBytes)
    {
    }
}
