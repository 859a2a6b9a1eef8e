<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Check;
use JsonSerializable;

/** A check that could be made now, with what it is worth. */
final readonly class NextCheck implements JsonSerializable
{
    /**
     * @param  float  $bits  by how much it lessens the doubt, on average
     * @param  float  $share  of the present doubt, 0 to 1
     * @param  array<string, Likely>  $leadsTo  answer => what would be likeliest then
     * @param  string  $because  in words
     */
    public function __construct(
        public Check $check,
        public float $bits,
        public float $share,
        public array $leadsTo,
        public string $because,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->check->id,
            'label' => $this->check->title,
            'minutes' => $this->check->minutes,
            'because' => $this->because,
            'where' => $this->check->where->value,
            'how' => $this->check->how,
            'clears_bits' => round($this->bits, 4),
            'clears_percent' => round(100 * $this->share, 1),
            'answers' => array_values(
                array_map(
                    fn (string $answer): array => [
                        'id' => $answer,
                        'label' => $this->check->answers[$answer]->label,
                        'points_to' => $this->leadsTo[$answer]->id(),
                        'probability' => round($this->leadsTo[$answer]->probability, 4),
                    ],
                    array_keys($this->leadsTo),
                ),
            ),
        ];
    }
}
