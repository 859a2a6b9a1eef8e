<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Net\Port;
use Burrow\Net\Protocol;

/** A port that a service of a box holds. */
final readonly class PortUse
{
    public function __construct(public string $box, public Port $port, public Protocol $protocol, public string $purpose)
    {
    }
}
