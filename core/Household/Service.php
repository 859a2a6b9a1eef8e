<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Port;
use Burrow\Net\Protocol;
use DateTimeImmutable;

/** A port that a service of a box holds, and what was met when it was last asked. */
final readonly class Service
{
    /** @param  ?DoorState  $state  null when nobody has looked */
    public function __construct(
        public string $box,
        public Port $port,
        public Protocol $protocol,
        public string $purpose,
        public ?DoorState $state = null,
        public ?DateTimeImmutable $lookedAt = null,
    ) {
    }
}
