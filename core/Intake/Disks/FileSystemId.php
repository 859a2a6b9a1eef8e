<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use JsonSerializable;

/** A file system's UUID in the canonical form of RFC 4122. */
final readonly class FileSystemId implements JsonSerializable
{
    public function __construct(public string $uuid)
    {
    }

    /** @return array{uuid: string} */
    public function jsonSerialize(): array
    {
        return ['uuid' => $this->uuid];
    }
}
