<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

use Burrow\Net\Ipv4;

/** Somebody at an address, as the band shows it. */
final readonly class Standing
{
    public function __construct(public Ipv4 $address, public string $name, public StandingKind $kind)
    {
    }
}
