<?php

declare(strict_types=1);

namespace App\Upkeep;

use Burrow\Household\BoxReport;

/** A report that came in, with what was read in it. */
final readonly class ReadReport
{
    /** The latest moment that the database's column can hold, in Unix seconds. */
    private const LATEST = 2_147_483_647;

    /** @param  string  $sum  SHA-256 of the text */
    public function __construct(
        public Arrival $arrival,
        public BoxReport $report,
        public string $text,
        public string $sum,
    ) {
    }

    /** By the box's own clock, as the database keeps it; null where it did not say. */
    public function madeAt(): ?string
    {
        return $this->report->madeAt === null
            ? null
            : gmdate('Y-m-d H:i:s', min($this->report->madeAt, self::LATEST));
    }

    /** @return array<string, mixed> its row among the reports */
    public function row(): array
    {
        return [
            'box_id' => $this->arrival->box->id,
            'came' => $this->arrival->came,
            'made_at' => $this->madeAt(),
            'received_at' => $this->arrival->at,
            'sum' => $this->sum,
            'text' => $this->text,
        ];
    }
}
