<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Box;
use App\Models\Measurement;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Power\MeasuredHeat;
use Burrow\Plan\Speed\MeasuredRate;
use Burrow\Quantity\Rate;

/** The newest readings of a box, judged against its plan. */
final readonly class Readings
{
    public function __construct(private Box $box, private ?PlanInput $plan)
    {
    }

    public function copy(): ?Finding
    {
        $newest = $this->newest('megabytes');

        return $newest === null || $this->plan === null
            ? null
            : (new MeasuredRate(
                $this->plan,
                Rate::megabytesPerSecond((float) $newest->megabytes),
                (float) $newest->idle,
            ))->finding();
    }

    public function heat(): ?Finding
    {
        $newest = $this->newest('board_celsius');

        return $newest === null || $this->plan === null
            ? null
            : (new MeasuredHeat(
                $this->plan,
                (float) $newest->board_celsius,
                (float) $newest->room_celsius,
            ))->finding();
    }

    private function newest(string $kind): ?Measurement
    {
        return $this->box->measurements->first(
            fn (Measurement $one): bool => $one->getAttribute($kind) !== null && $one->isPlausible(),
        );
    }
}
