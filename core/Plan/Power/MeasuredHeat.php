<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;

/** A temperature that was read under load, held against what the case is said to do. */
final readonly class MeasuredHeat
{
    /** Within this share of the catalogue's figure the case does what it should. */
    private const TOLERANCE = 0.25;

    public function __construct(private PlanInput $plan, private float $board, private float $room)
    {
    }

    /** Kelvin for each watt, as measured under full load. */
    public function kelvinPerWatt(): float
    {
        return ($this->board - $this->room) / $this->plan->board->busy->watts;
    }

    /** The room in which it would begin to slow down. */
    public function roomLimit(): float
    {
        return Heat::THROTTLES - $this->kelvinPerWatt() * $this->plan->board->busy->watts;
    }

    public function finding(): Finding
    {
        $measured = number_format($this->kelvinPerWatt(), 1, '.', '');
        $limit = round($this->roomLimit());
        $share = $this->kelvinPerWatt() / $this->plan->case->kelvinPerWatt;
        $words = "{$measured} K/W measured, {$this->plan->case->kelvinPerWatt} in the catalogue: it slows down from a room of {$limit} °C on.";

        return match (true) {
            $this->board <= $this->room => PowerFindings::heatNotBelieved(),
            $share > 1 + self::TOLERANCE => PowerFindings::heatWorse($words),
            default => PowerFindings::heatMeasured($words),
        };
    }
}
