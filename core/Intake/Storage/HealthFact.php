<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use JsonSerializable;

/** What a drive tells of its own health (smartctl(8)). */
final readonly class HealthFact implements JsonSerializable
{
    /**
     * @param  ?bool  $passed  the drive's own judgement; null where it gives none
     * @param  ?int  $hours  under power
     * @param  ?int  $reallocated  sectors that were replaced
     * @param  ?int  $pending  sectors that could not be read and wait
     * @param  ?int  $wearPercent  of its erase cycles that are used, of drives that count them
     */
    public function __construct(
        public ?string $model,
        public ?string $serial,
        public ?int $bytes,
        public ?bool $passed,
        public ?int $hours,
        public ?int $celsius,
        public ?int $reallocated,
        public ?int $pending,
        public ?int $wearPercent,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'model' => $this->model,
            'serial' => $this->serial,
            'bytes' => $this->bytes,
            'passed' => $this->passed,
            'hours' => $this->hours,
            'celsius' => $this->celsius,
            'reallocated' => $this->reallocated,
            'pending' => $this->pending,
            'wear_percent' => $this->wearPercent,
        ];
    }
}
