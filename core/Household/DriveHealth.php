<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** What a drive of a box told of its health, at two moments: the last one, and the first that is known. */
final readonly class DriveHealth
{
    /**
     * @param  int  $at  Unix seconds
     * @param  ?int  $reallocated  sectors that were replaced; $reallocatedFirst at the first moment that is known
     * @param  ?int  $pending  sectors that could not be read and wait
     * @param  ?DateTimeImmutable  $warrantyUntil  day until which its maker replaces it, where the register has it
     */
    public function __construct(
        public string $box,
        public string $serial,
        public string $model,
        public int $at,
        public ?bool $passed,
        public ?int $hours,
        public ?int $celsius,
        public ?int $reallocated,
        public ?int $reallocatedFirst,
        public ?int $pending,
        public ?int $pendingFirst,
        public ?int $wearPercent,
        public ?DateTimeImmutable $warrantyUntil = null,
    ) {
    }
}
