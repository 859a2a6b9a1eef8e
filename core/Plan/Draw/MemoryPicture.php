<?php

declare(strict_types=1);

namespace Burrow\Plan\Draw;

use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Bytes;

/** The board's memory as a bar filled by the system and its jobs; what does not fit sticks out past its end. */
final readonly class MemoryPicture
{
    public const WIDTH = 560;

    public const HEIGHT = 58;

    /** Thinner than this nobody sees it. */
    private const LEAST = 2.0;

    /** @param  list<array{label: string, amount: string, x: float, width: float, over: bool}>  $pieces */
    private function __construct(
        public array $pieces,
        public float $end,
        public string $has,
        public string $caption,
    ) {
    }

    public static function of(PlanInput $plan): self
    {
        $fit = MemoryFit::of($plan);
        $all = max($fit->has()->count, $fit->needed()->count);
        $end = (self::WIDTH * $fit->has()->count) / $all;
        $parts = [
            ['system', $plan->image->memoryIdle],
            ...array_map(fn ($job): array => [$job->short, $plan->memoryOf($job)], $plan->jobs),
        ];
        $x = 0.0;
        $pieces = [];
        foreach ($parts as [$label, $amount]) {
            $width = max(self::LEAST, (self::WIDTH * $amount->count) / $all);
            $pieces[] = [
                'label' => $label,
                'amount' => $amount->binary(),
                'x' => $x,
                'width' => $width,
                'over' => $x + $width > $end + 0.5,
            ];
            $x += $width;
        }
        $free = $fit->has()->less($fit->needed());
        $words = array_map(fn (array $part): string => $part[0].' '.$part[1]->binary(), $parts);

        return new self(
            $pieces,
            $end,
            $fit->has()->binary(),
            implode(' · ', [
                ...$words,
                $free->isMoreThan(Bytes::of(0))
                    ? "free {$free->binary()} of {$fit->has()->binary()}"
                    : "of only {$fit->has()->binary()}",
            ]),
        );
    }
}
