<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** What a box runs on: release, processor, memory, load; null for what was not in the text. */
final readonly class MachineFact implements JsonSerializable
{
    public function __construct(
        public ?string $id,
        public ?string $version,
        public ?string $codename,
        public ?string $architecture,
        public ?int $bits,
        public ?int $cores,
        public ?int $memoryBytes,
        public ?int $availableBytes,
        public ?int $uptimeSeconds,
        public ?float $load1,
        public ?float $load5,
        public ?float $load15,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'version' => $this->version,
            'codename' => $this->codename,
            'architecture' => $this->architecture,
            'bits' => $this->bits,
            'cores' => $this->cores,
            'memory_bytes' => $this->memoryBytes,
            'available_bytes' => $this->availableBytes,
            'uptime_seconds' => $this->uptimeSeconds,
            'load1' => $this->load1,
            'load5' => $this->load5,
            'load15' => $this->load15,
        ];
    }
}
