<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** A unit of systemd: its state, and for a timer what it starts and when, in Unix seconds. */
final readonly class UnitFact implements JsonSerializable
{
    public function __construct(
        public string $unit,
        public ?string $state,
        public ?string $activates,
        public ?int $next,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'unit' => $this->unit,
            'state' => $this->state,
            'activates' => $this->activates,
            'next' => $this->next,
        ];
    }
}
