<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use JsonSerializable;

/** A partition of a disk, as sfdisk(8) tells it. */
final readonly class PartitionFact implements JsonSerializable
{
    /**
     * @param  string  $device  the disk
     * @param  ?string  $table  "dos" or "gpt"
     * @param  string  $name  its node: "/dev/sda1"
     * @param  ?int  $start  in sectors of the disk
     * @param  ?string  $type  its code or name, as the tool writes it
     * @param  ?string  $label  only a table of the newer kind has one
     */
    public function __construct(
        public string $device,
        public ?string $table,
        public string $name,
        public ?int $start,
        public ?int $bytes,
        public ?string $type,
        public ?string $label,
        public ?int $sectorBytes,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'device' => $this->device,
            'table' => $this->table,
            'name' => $this->name,
            'start' => $this->start,
            'bytes' => $this->bytes,
            'type' => $this->type,
            'label' => $this->label,
            'start_bytes' => $this->start === null ? null : $this->start * ($this->sectorBytes ?? 512),
            'sector_bytes' => $this->sectorBytes,
        ];
    }
}
