<?php

declare(strict_types=1);

namespace Burrow\Plan\Draw;

use Burrow\Plan\PlanInput;
use Burrow\Plan\Power\SupplyFit;

/** The voltage from the supply along its cable to the board, against what the board complains below. */
final readonly class VoltageLadder
{
    public const WIDTH = 560;

    public const HEIGHT = 112;

    private const LEFT = 64;

    private const RIGHT = 480;

    private const TOP = 14;

    private const BOTTOM = 84;

    private function __construct(
        public float $startY,
        public float $endY,
        public float $thresholdY,
        public bool $below,
        public string $start,
        public string $end,
        public string $threshold,
        public string $along,
    ) {
    }

    /** Null where no cable carries the power: over the network cable, or for a machine with its own supply. */
    public static function of(PlanInput $plan): ?self
    {
        if ($plan->supply->poeWatts !== null || $plan->board->powerInlet === 'barrel') {
            return null;
        }
        $start = $plan->supply->voltage->volts;
        $fit = SupplyFit::of($plan);
        $end = $fit->voltage()->volts;
        $threshold = $plan->board->undervoltage->volts;
        $high = max($start, $threshold) + 0.05;
        $low = min($end, $threshold) - 0.1;
        $y = fn (float $volts): float => self::TOP +
            (($high - $volts) / ($high - $low)) * (self::BOTTOM - self::TOP);

        return new self(
            $y($start),
            $y($end),
            $y($threshold),
            $end < $threshold,
            (string) $plan->supply->voltage,
            (string) $fit->voltage(),
            (string) $plan->board->undervoltage,
            "{$fit->peak()} along {$plan->cable->metres} m of {$plan->cable->gauge} AWG",
        );
    }

    /** The falling line from supply to board. */
    public function path(): string
    {
        return sprintf('M%d %.1f L%d %.1f', self::LEFT, $this->startY, self::RIGHT, $this->endY);
    }

    /** The area under it, down to the bottom. */
    public function area(): string
    {
        return sprintf(
            'M%d %.1f L%d %.1f V%d H%dZ',
            self::LEFT,
            $this->startY,
            self::RIGHT,
            $this->endY,
            self::BOTTOM,
            self::LEFT,
        );
    }
}
