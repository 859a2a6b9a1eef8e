<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use JsonSerializable;

/** A disk or a part of one, with what is on it, as any of the tools lists it. */
final readonly class DiskFact implements JsonSerializable
{
    /**
     * @param  ?int  $bytes  rounded where the tool printed it for people
     * @param  ?string  $type  "disk", "part", "loop", "rom", "raid1", "crypt", "lvm" …
     * @param  list<string>  $mounted  where it, or of a disk one of its parts, is mounted
     * @param  list<string>  $holds  file systems and labels on it and on its parts
     * @param  ?bool  $system  the running system lives on it; null where the tool tells no mounts
     */
    public function __construct(
        public string $name,
        public ?int $bytes = null,
        public ?string $type = null,
        public ?string $fstype = null,
        public ?string $label = null,
        public ?string $uuid = null,
        public ?string $model = null,
        public ?string $serial = null,
        public ?string $transport = null,
        public ?bool $removable = null,
        public ?bool $readOnly = null,
        public ?bool $system = null,
        public array $mounted = [],
        public array $holds = [],
    ) {
    }

    public static function ofDevice(BlockDevice $device): self
    {
        return new self(
            $device->name,
            $device->size->count,
            'disk',
            model: $device->model,
            serial: $device->serial,
            transport: $device->transport,
            removable: $device->removable,
            readOnly: $device->readOnly,
            system: $device->isSystem(),
            mounted: $device->mountPoints,
            holds: $device->fileSystems,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'bytes' => $this->bytes,
            'type' => $this->type,
            'fstype' => $this->fstype,
            'label' => $this->label,
            'uuid' => $this->uuid,
            'model' => $this->model,
            'serial' => $this->serial,
            'transport' => $this->transport,
            'removable' => $this->removable,
            'read_only' => $this->readOnly,
            'system' => $this->system,
            'mounted' => $this->mounted,
            'holds' => $this->holds,
        ];
    }
}
