<?php

declare(strict_types=1);

namespace Bench\Board;

/** A disk plugged into a board. */
final class Disk
{
    public function __construct(
        public readonly int $bytes,
        public readonly string $serial,
        public bool $partitioned = false,
        public ?string $uuid = null,
        public string $label = '',
        public ?string $mountedAt = null,
    ) {
    }

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        /**
         * @var array{bytes: int, serial: string, partitioned?: bool, uuid?: ?string, label?: string, mountedAt?: ?string} $state
         */
        return new self(
            $state['bytes'],
            $state['serial'],
            $state['partitioned'] ?? false,
            $state['uuid'] ?? null,
            $state['label'] ?? '',
            $state['mountedAt'] ?? null,
        );
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return get_object_vars($this);
    }
}
