<?php

declare(strict_types=1);

namespace Burrow\Filter\Draw;

/** Questions over the day: what was answered grows above the turf, what is refused hangs below it, in one scale. */
final readonly class DayPicture
{
    public const WIDTH = 786;

    public const HEIGHT = 214;

    /** Units that the tallest of both take together. */
    private const ROOM = 150;

    private const TOP = 20;

    private const LEFT = 60;

    private const STEP = 29.5;

    /** @param  list<array{x: float, up: float, down: float}>  $bars  from the turf, one an hour that was asked in */
    private function __construct(public float $turf, public array $bars)
    {
    }

    /** @param  list<array{hour: int, total: int, refused: int}>  $hours */
    public static function of(array $hours): self
    {
        $answered = array_map(fn (array $one): int => $one['total'] - $one['refused'], $hours);
        $top = max(1, ...$answered);
        $scale = self::ROOM / ($top + max(1, ...array_column($hours, 'refused')));

        return new self(
            round(self::TOP + $top * $scale, 1),
            array_map(
                fn (array $one): array => [
                    'x' => self::x($one['hour']),
                    'up' => round(($one['total'] - $one['refused']) * $scale, 1),
                    'down' => round($one['refused'] * $scale, 1),
                ],
                $hours,
            ),
        );
    }

    /** Where an hour of the day begins, 0 to 23. */
    public static function x(int $hour): float
    {
        return self::LEFT + $hour * self::STEP;
    }
}
