<?php

declare(strict_types=1);

namespace Burrow\Filter\Draw;

/** One list among those above it: what it adds lies where they end, what they refuse already lies before that. */
final readonly class ShareBar
{
    /** Units that the sum of all lists takes. */
    private const ROOM = 260;

    private const LEFT = 2;

    private function __construct(
        public float $again,
        public float $adds,
        public float $againWide,
        public float $addsWide,
    ) {
    }

    /**
     * @param  array{alone: float|int, adds: float|int, sum: float|int}  $list  per cent of the questions
     * @param  float  $most  per cent that all lists refuse together, above 0
     */
    public static function of(array $list, float $most): self
    {
        $wide = fn (float $percent): float => round((self::ROOM * max(0.0, $percent)) / $most, 1);

        return new self(
            self::LEFT + $wide($list['sum'] - $list['alone']),
            self::LEFT + $wide($list['sum'] - $list['adds']),
            $wide($list['alone'] - $list['adds']),
            // What adds nothing is still a line.
            max(1.0, $wide((float) $list['adds'])),
        );
    }
}
