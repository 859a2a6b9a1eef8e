<?php

declare(strict_types=1);

namespace Burrow\Journal\Draw;

/** Readings of some groups as dots on one line each, with their means and the middle half of each. */
final readonly class StripChart
{
    public const WIDTH = 760;

    private const ROW = 46;

    public const LEFT = 130;

    public const RIGHT = 740;

    /**
     * @param  list<array{name: string, y: int, dots: list<float>, mean: float, from: float, to: float}>  $rows  positions from the left
     * @param  list<array{x: float, label: string}>  $marks
     */
    private function __construct(public array $rows, public array $marks)
    {
    }

    public function height(): int
    {
        return 58 + self::ROW * count($this->rows);
    }

    /** @param  non-empty-array<string, non-empty-list<float>>  $groups  readings by the group's name */
    public static function of(array $groups): self
    {
        $all = array_merge(...array_values($groups));
        [$least, $most] = [min($all), max($all)];
        $room = $most > $least ? 0.08 * ($most - $least) : max(1.0, 0.1 * abs($most));
        [$from, $to] = [$least - $room, $most + $room];
        $x = fn (float $value): float => round(
            self::LEFT + (($value - $from) / ($to - $from)) * (self::RIGHT - self::LEFT),
            1,
        );
        $rows = [];
        foreach ($groups as $name => $values) {
            sort($values);
            $rows[] = [
                'name' => (string) $name,
                'y' => 34 + self::ROW * count($rows),
                'dots' => array_map($x, $values),
                'mean' => $x(array_sum($values) / count($values)),
                'from' => $x(self::quantile($values, 0.25)),
                'to' => $x(self::quantile($values, 0.75)),
            ];
        }
        $marks = [];
        foreach ([$least, ($least + $most) / 2, $most] as $value) {
            $marks[(string) round($value, 1)] = ['x' => $x($value), 'label' => (string) round($value, 1)];
        }

        return new self($rows, array_values($marks));
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function quantile(array $sorted, float $share): float
    {
        $at = $share * (count($sorted) - 1);
        $low = (int) floor($at);
        $high = min(count($sorted) - 1, $low + 1);

        return $sorted[$low] + ($at - $low) * ($sorted[$high] - $sorted[$low]);
    }
}
