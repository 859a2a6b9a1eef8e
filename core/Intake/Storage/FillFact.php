<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use JsonSerializable;

/** How full a mounted file system is, as df(1) tells it. */
final readonly class FillFact implements JsonSerializable
{
    /**
     * @param  ?int  $bytes  from figures with a letter behind them rounded as df rounded them
     * @param  ?int  $usedPercent  of what ordinary users may use, rounded up as df does
     */
    public function __construct(
        public string $mount,
        public ?string $source,
        public ?int $bytes,
        public ?int $usedBytes,
        public ?int $availableBytes,
        public ?int $usedPercent,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'mount' => $this->mount,
            'source' => $this->source,
            'bytes' => $this->bytes,
            'used_bytes' => $this->usedBytes,
            'available_bytes' => $this->availableBytes,
            'used_percent' => $this->usedPercent,
        ];
    }
}
