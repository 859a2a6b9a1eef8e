<?php

declare(strict_types=1);

namespace Bench\Board;

/** A disk plugged into a board. */
final class Disk
{
    /** @param  string  $holds  what lies on it, as one word: two that hold the same are copies of each other */
    public function __construct(
        public readonly int $bytes,
        public readonly string $serial,
        public bool $partitioned = false,
        public ?string $uuid = null,
        public string $label = '',
        public ?string $mountedAt = null,
        public bool $readOnly = false,
        public string $holds = '',
    ) {
    }

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        /**
         * @var array{bytes: int, serial: string, partitioned?: bool, uuid?: ?string, label?: string, mountedAt?: ?string, readOnly?: bool, holds?: string} $state
         */
        return new self(
            $state['bytes'],
            $state['serial'],
            $state['partitioned'] ?? false,
            $state['uuid'] ?? null,
            $state['label'] ?? '',
            $state['mountedAt'] ?? null,
            $state['readOnly'] ?? false,
            $state['holds'] ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return get_object_vars($this);
    }
}
