<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** What the board says of its supply (bits 0, 2, 16 and 18 of its throttling flags). */
final readonly class PowerFact implements JsonSerializable
{
    public function __construct(
        public bool $undervoltageNow,
        public bool $undervoltageSinceBoot,
        public bool $throttledNow,
        public bool $throttledSinceBoot,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'undervoltage_now' => $this->undervoltageNow,
            'undervoltage_since_boot' => $this->undervoltageSinceBoot,
            'throttled_now' => $this->throttledNow,
            'throttled_since_boot' => $this->throttledSinceBoot,
        ];
    }
}
