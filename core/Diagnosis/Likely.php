<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Cause;
use JsonSerializable;

/** How probable it is that a cause is there, alone or with another. */
final readonly class Likely implements JsonSerializable
{
    public const ELSE = 'something-else';

    /**
     * @param  ?Cause  $cause  null: something else
     * @param  float  $probability  0 to 1. Those of all causes add up to more than 1, since two may be there at once.
     * @param  string  $because  what speaks most for it, in words; empty: nothing yet
     */
    public function __construct(public ?Cause $cause, public float $probability, public string $because = '')
    {
    }

    public function id(): string
    {
        return $this->cause->id ?? self::ELSE;
    }

    public function label(): string
    {
        return $this->cause->label ?? 'Something else';
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id(),
            'label' => $this->label(),
            'probability' => round($this->probability, 4),
            'because' => $this->because,
            'cure' => $this->cause?->cure,
            'cure_minutes' => $this->cause?->minutes,
        ];
    }
}
