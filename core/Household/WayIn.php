<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A key, profile or account with which a device comes in from outside. */
final readonly class WayIn
{
    /**
     * @param  string  $kind  "tunnel", "program" or "account"
     * @param  ?string  $address  inside the tunnel
     * @param  ?DateTimeImmutable  $ends  its last day; null where it has none
     * @param  ?DateTimeImmutable  $lastCame  when it was last seen coming in; null when nobody looked or it never did
     */
    public function __construct(
        public int $id,
        public string $device,
        public string $holder,
        public string $kind,
        public ?string $publicKey,
        public ?string $address,
        public DateTimeImmutable $given,
        public ?DateTimeImmutable $lastCame = null,
        public ?DateTimeImmutable $ends = null,
    ) {
    }

    /** Whole days since it was last seen, or since it was given. */
    public function daysAway(DateTimeImmutable $now): int
    {
        return (int) floor(
            ($now->getTimestamp() - ($this->lastCame ?? $this->given)->getTimestamp()) / 86400,
        );
    }
}
