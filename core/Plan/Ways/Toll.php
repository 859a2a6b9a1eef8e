<?php

declare(strict_types=1);

namespace Burrow\Plan\Ways;

use Burrow\Plan\PlanInput;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Duration;

/** What a change asks of the person: what of the plan it gives up, and how long hands take for it. */
final readonly class Toll
{
    /** Minutes of hands for one changed part: plugging, opening the case, writing the card anew. Common practice. */
    private const MINUTES = [
        'cable' => 1,
        'supply' => 1,
        'hub' => 1,
        'plugged' => 1,
        'along' => 2,
        'cooling' => 5,
        'case' => 10,
        'addOn' => 10,
        'link' => 10,
        'schools' => 10,
        'drive' => 15,
        'image' => 15,
        'imageFrom' => 15,
        'card' => 15,
        'startFrom' => 20,
        'board' => 30,
    ];

    /** A copy rate below this share of the one planned counts as given up. */
    private const SLOWER = 0.9;

    private function __construct(public int $givenUp, public Duration $hands)
    {
    }

    /** @param  non-empty-array<string, mixed>  $changes  name of the part => what it becomes */
    public static function of(PlanInput $before, PlanInput $after, array $changes): self
    {
        $room = fn (PlanInput $plan): int => $plan->drive->capacity->count ?? 0;
        $rate = fn (PlanInput $plan): float => $plan->needsDisk()
            ? CopyRate::of($plan)?->rate()->bytesPerSecond ?? 0.0
            : 0.0;
        $minutes = array_map(fn (string $name): int => self::MINUTES[$name] ?? 10, array_keys($changes));

        return new self(
            ($after->board->id !== $before->board->id ? 1 : 0) +
                ($room($after) < $room($before) ? 1 : 0) +
                ($after->link !== $before->link ? 1 : 0) +
                ($rate($after) < $rate($before) * self::SLOWER ? 1 : 0),
            Duration::minutes(array_sum($minutes)),
        );
    }
}
