<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Net\Ipv4;

/** An address somebody already has, with the name to show for it. */
final readonly class Taken
{
    public function __construct(public Ipv4 $address, public string $owner)
    {
    }
}
