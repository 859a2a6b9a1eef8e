<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** The clock of a box: its zone, whether it is set over the network, and its offset from UTC. */
final readonly class ClockFact implements JsonSerializable
{
    public function __construct(public ?string $zone, public ?bool $synchronised, public ?int $offsetSeconds)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'zone' => $this->zone,
            'synchronised' => $this->synchronised,
            'offset_seconds' => $this->offsetSeconds,
        ];
    }
}
