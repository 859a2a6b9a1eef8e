<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use JsonSerializable;

/** Several disks as one, and how whole it is (md(4)). */
final readonly class ArrayFact implements JsonSerializable
{
    /**
     * @param  string  $name  without its folder: "md0"
     * @param  ?string  $level  "raid1", "raid5" …
     * @param  ?string  $state  in the tool's own words
     * @param  ?int  $devices  that it is made of when it is whole
     * @param  ?float  $rebuildPercent  null while it does not rebuild
     */
    public function __construct(
        public string $name,
        public ?string $uuid,
        public ?string $level,
        public ?string $state,
        public ?int $devices,
        public ?int $active,
        public ?int $failed,
        public ?bool $degraded,
        public ?float $rebuildPercent,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'uuid' => $this->uuid,
            'level' => $this->level,
            'state' => $this->state,
            'devices' => $this->devices,
            'active' => $this->active,
            'failed' => $this->failed,
            'degraded' => $this->degraded,
            'rebuild_percent' => $this->rebuildPercent,
        ];
    }
}
