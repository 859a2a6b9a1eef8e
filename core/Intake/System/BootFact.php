<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** How long a unit took at the last start. */
final readonly class BootFact implements JsonSerializable
{
    public function __construct(public string $unit, public float $seconds)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'unit' => $this->unit,
            'seconds' => $this->seconds,
        ];
    }
}
