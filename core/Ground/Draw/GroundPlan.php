<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

use Burrow\Drawing\Way;

/**
 * Lays out the burrow: chambers in a grid, upright ways in the gutters between the columns, level ways in the
 * gaps between the rows. Nothing but a chamber's own stub ever enters its cell, so nothing overlaps and
 * nothing runs behind a chamber, however many boxes there are.
 */
final readonly class GroundPlan
{
    public const WIDE = 806;

    /** For a screen that is held upright: two chambers side by side. */
    public const NARROW = 400;

    private const TURF = 118;

    private const LEAST_HEIGHT = 640;

    /** Width of a letter of a shaft's label. */
    private const LETTER = 7.6;

    /** Shares of the gutter, from its left edge: passages, then the way in, then a shaft of a lower chamber. */
    private const LANE_PASSAGE = 0.82;

    private const LANE_WAY = 0.5;

    private const LANE_SHAFT = 0.14;

    /** More chambers than this stand closer together. */
    private const ROOMY = 16;

    private function __construct(private int $width, private Spacing $space)
    {
    }

    /**
     * @param  list<Dwelling>  $boxes
     * @param  self::WIDE|self::NARROW  $width
     */
    public static function draw(array $boxes, int $width = self::WIDE): GroundPicture
    {
        $space = $width === self::WIDE && count($boxes) > self::ROOMY ? Spacing::dense() : Spacing::roomy();

        return (new self($width, $space))->picture($boxes);
    }

    /** @param  list<Dwelling>  $boxes */
    private function picture(array $boxes): GroundPicture
    {
        $chambers = $this->settle($boxes);
        $rows = $chambers === [] ? 0 : 1 + max(array_map(fn (Chamber $c): int => $c->row, $chambers));

        return new GroundPicture(
            $this->width,
            max(
                $this->width === self::WIDE ? self::LEAST_HEIGHT : 0,
                $this->space->firstRow + $rows * ($this->space->chamberHeight + $this->space->rowGap) + 20,
            ),
            self::TURF,
            $chambers,
            $this->gallery($chambers),
            $this->ways($chambers),
            $this->passages($chambers),
            $this->shafts($chambers),
            $this->space->dense,
        );
    }

    /**
     * Boxes with openings come first, so that they lie nearest to the surface, at the right-hand end of the first row.
     *
     * @param  list<Dwelling>  $boxes
     * @return list<Chamber>
     */
    private function settle(array $boxes): array
    {
        $count = count($boxes);
        $columns = max(
            1,
            match (true) {
                $this->width === self::NARROW => min(2, $count),
                $count <= 3 => $count,
                $count <= 6 => 3,
                $count <= self::ROOMY => 4,
                default => 5,
            },
        );
        $open = array_values(array_filter($boxes, fn (Dwelling $box): bool => $box->openings !== []));
        // Boxes on the way come after those that stand.
        $closed = array_values(array_filter($boxes, fn (Dwelling $box): bool => $box->openings === []));
        usort($closed, fn (Dwelling $a, Dwelling $b): int => self::onTheWay($a) <=> self::onTheWay($b));
        $roof = array_slice($open, 0, $columns);
        $beside = array_splice($closed, 0, $columns - count($roof));
        $order = [...$beside, ...array_reverse($roof), ...array_slice($open, $columns), ...$closed];
        $width = min(190, ($this->width - $this->space->gutter) / $columns - $this->space->gutter);
        $left = ($this->width - $columns * ($width + $this->space->gutter)) / 2;
        $chambers = [];
        foreach ($order as $index => $box) {
            $column = $index % $columns;
            $row = intdiv($index, $columns);
            $chambers[] = new Chamber(
                $box,
                $column,
                $row,
                $left + $this->space->gutter + $column * ($width + $this->space->gutter),
                $this->space->firstRow + $row * ($this->space->chamberHeight + $this->space->rowGap),
                $width,
                $this->space->chamberHeight,
                $this->space->dense,
            );
        }

        return $chambers;
    }

    private static function onTheWay(Dwelling $box): int
    {
        return $box->state === ChamberState::Building ? 1 : 0;
    }

    /**
     * @param  list<Chamber>  $chambers
     * @return list<Way>
     */
    private function gallery(array $chambers): array
    {
        $middle = $this->width / 2;
        $heads = array_map(fn (Way $way): float => $way->points[0][0], $this->ways($chambers));
        $along = array_values(array_unique([...$heads, $middle]));
        sort($along);
        $gallery = [new Way([[$middle, self::TURF + 14.0], [$middle, $this->space->gallery]])];
        for ($i = 1; $i < count($along); $i++) {
            $gallery[] = new Way([
                [$along[$i - 1], $this->space->gallery],
                [$along[$i], $this->space->gallery],
            ]);
        }

        return $gallery;
    }

    /**
     * @param  list<Chamber>  $chambers
     * @return list<Way>
     */
    private function ways(array $chambers): array
    {
        return array_map(function (Chamber $chamber): Way {
            $x = $chamber->x - $this->space->gutter * (1 - self::LANE_WAY);

            return new Way([
                [$x, $this->space->gallery],
                [$x, $chamber->centreY()],
                [$chamber->x + 6, $chamber->centreY()],
            ]);
        }, $chambers);
    }

    /**
     * @param  list<Chamber>  $chambers
     * @return list<Way>
     */
    private function passages(array $chambers): array
    {
        $byName = [];
        foreach ($chambers as $chamber) {
            $byName[$chamber->box->name] = $chamber;
        }
        $passages = [];
        foreach ($chambers as $from) {
            foreach ($from->box->dependsOn as $name => $what) {
                $to = $byName[$name] ?? null;
                if ($to !== null && $to !== $from) {
                    $passages[] = $this->passage($from, $to, $what);
                }
            }
        }

        return $passages;
    }

    /** Down into the gap below, along it to the gutter beside the other chamber, along that, and in from below. */
    private function passage(Chamber $from, Chamber $to, string $label): Way
    {
        $below = fn (Chamber $c): float => $c->bottom() +
            $this->space->rowGap * (0.5 + 0.13 * ($from->column % 3));
        if ($from->row === $to->row) {
            return new Way(
                [
                    [$from->centreX() + 10, $from->bottom()],
                    [$from->centreX() + 10, $below($from)],
                    [$to->centreX() - 10, $below($from)],
                    [$to->centreX() - 10, $to->bottom()],
                ],
                $label,
            );
        }
        $lane = $to->x - $this->space->gutter * (1 - self::LANE_PASSAGE);

        return new Way(
            [
                [$from->centreX() + 10, $from->bottom()],
                [$from->centreX() + 10, $below($from)],
                [$lane, $below($from)],
                [$lane, $below($to)],
                [$to->centreX() - 10, $below($to)],
                [$to->centreX() - 10, $to->bottom()],
            ],
            $label,
        );
    }

    /**
     * A chamber of the first row has its own shaft; those of lower rows in one column share a lane and say whose it is.
     *
     * @param  list<Chamber>  $chambers
     * @return list<Shaft>
     */
    private function shafts(array $chambers): array
    {
        $shafts = [];
        $lanes = [];
        foreach ($chambers as $chamber) {
            if ($chamber->box->openings === []) {
                continue;
            }
            if ($chamber->row === 0) {
                $x = $chamber->centreX() + 24;
                $shafts[] = $this->shaft(
                    [[$x, self::mouth($chamber->column)], [$x, $chamber->y + 3]],
                    $chamber->box->openings,
                );
            } else {
                $lanes[$chamber->column][] = $chamber;
            }
        }
        foreach ($lanes as $column => $sharing) {
            $deepest = $sharing[count($sharing) - 1];
            $x = $deepest->x + $deepest->width + $this->space->gutter * self::LANE_SHAFT;
            $labels = array_merge(
                ...array_map(
                    fn (Chamber $c): array => array_map(
                        fn (string $o): string => $c->box->name.' '.$o,
                        $c->box->openings,
                    ),
                    $sharing,
                ),
            );
            $points = [
                [$x, self::mouth($column + 1)],
                [$x, $deepest->centreY()],
                [$deepest->x + $deepest->width - 6, $deepest->centreY()],
            ];
            $shafts[] = $this->shaft($points, $labels);
        }

        return $shafts;
    }

    /**
     * The labels stand to the right of the mouth, or to its left where the picture ends.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @param  list<string>  $labels
     */
    private function shaft(array $points, array $labels): Shaft
    {
        [$x, $mouth] = $points[0];
        $shown = self::shortened($labels);
        $width = 26 + self::LETTER * max(array_map(mb_strlen(...), $shown ?: ['']));

        return new Shaft(new Way($points), $x, $mouth, $shown, $x + $width > $this->width);
    }

    /** Neighbouring mouths stand at two heights, so that their labels do not meet. */
    private static function mouth(int $column): float
    {
        return $column % 2 === 0 ? 72 : 56;
    }

    /**
     * @param  list<string>  $labels
     * @return list<string>
     */
    private static function shortened(array $labels): array
    {
        return count($labels) <= 3
            ? $labels
            : [...array_slice($labels, 0, 2), 'and '.(count($labels) - 2).' more'];
    }
}
