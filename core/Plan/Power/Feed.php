<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Quantity\Amps;

/** Another box on the same supply, with the current it takes at its peak. */
final readonly class Feed
{
    public function __construct(public string $name, public Amps $peak)
    {
    }
}
