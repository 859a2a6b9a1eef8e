<?php

declare(strict_types=1);

namespace Burrow\BringUp\Draw;

use Burrow\BringUp\StartStage;

/**
 * Starts of one box below each other on one scale of time: what answered after how long, the newest on top, with the
 * span in which remote login answered in the earlier ones behind it.
 */
final readonly class StartTimeline
{
    public const WIDTH = 560.0;

    public const ROW = 30.0;

    private const LEFT = 120.0;

    private const RIGHT = 40.0;

    private const HEAD = 26.0;

    /** Seconds between marks. */
    private const MARKS = [5, 10, 15, 30, 60, 120, 300, 600, 1200];

    /** Most marks that stand apart. */
    private const MOST_MARKS = 7;

    /**
     * @param  list<array{label: string, y: float, dots: list<array{x: float, stage: StartStage, seconds: float}>}>  $rows
     * @param  list<array{x: float, label: string}>  $marks
     * @param  ?array{float, float}  $usual  x from and to of the earlier logins; null with fewer than two of them
     */
    private function __construct(public float $height, public array $rows, public array $marks, public ?array $usual)
    {
    }

    /** @param  list<array{label: string, stages: array<string, float>}>  $starts  the newest first */
    public static function of(array $starts): self
    {
        $longest = 1.0;
        foreach ($starts as $start) {
            $longest = max($longest, ...array_values($start['stages']) ?: [1.0]);
        }
        $scale = (self::WIDTH - self::LEFT - self::RIGHT) / $longest;
        $rows = [];
        foreach ($starts as $at => $start) {
            $dots = [];
            foreach ($start['stages'] as $name => $seconds) {
                $stage = StartStage::tryFrom($name);
                if ($stage !== null) {
                    $dots[] = ['x' => self::LEFT + $seconds * $scale, 'stage' => $stage, 'seconds' => $seconds];
                }
            }
            $y = self::HEAD + ($at + 0.5) * self::ROW;
            $rows[] = ['label' => $start['label'], 'y' => $y, 'dots' => $dots];
        }
        $logins = array_values(
            array_filter(
                array_map(
                    fn (array $start): ?float => $start['stages'][StartStage::Login->value] ?? null,
                    array_slice($starts, 1),
                ),
            ),
        );

        return new self(
            self::HEAD + count($starts) * self::ROW + 6,
            $rows,
            self::marks($longest, $scale),
            count($logins) < 2 ? null : [self::LEFT + min($logins) * $scale, self::LEFT + max($logins) * $scale],
        );
    }

    /** @return list<array{x: float, label: string}> */
    private static function marks(float $longest, float $scale): array
    {
        $step = self::MARKS[count(self::MARKS) - 1];
        foreach (self::MARKS as $seconds) {
            if ($longest / $seconds <= self::MOST_MARKS) {
                $step = $seconds;
                break;
            }
        }
        $marks = [];
        for ($at = 0; $at <= $longest; $at += $step) {
            $marks[] = [
                'x' => self::LEFT + $at * $scale,
                'label' => $step >= 60 ? intdiv($at, 60).' min' : "{$at} s",
            ];
        }

        return $marks;
    }
}
