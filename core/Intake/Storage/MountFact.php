<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use JsonSerializable;

/** Something mounted, or to be mounted, somewhere. */
final readonly class MountFact implements JsonSerializable
{
    /**
     * @param  ?string  $mount  null for what is mounted nowhere, as swap is
     * @param  list<string>  $options
     */
    public function __construct(
        public ?string $source,
        public ?string $mount,
        public ?string $fstype,
        public array $options,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'source' => $this->source,
            'mount' => $this->mount,
            'fstype' => $this->fstype,
            'options' => $this->options,
        ];
    }
}
