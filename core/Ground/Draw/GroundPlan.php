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

    private const GALLERY = 196;

    private const FIRST_ROW = 244;

    private const CHAMBER_HEIGHT = 92;

    private const ROW_GAP = 44;

    private const GUTTER = 40;

    private const LEAST_HEIGHT = 640;

    /** Width of a letter of a shaft's label. */
    private const LETTER = 7.6;

    /** Shares of the gutter, from its left edge: passages, then the way in, then a shaft of a lower chamber. */
    private const LANE_PASSAGE = 0.82;

    private const LANE_WAY = 0.5;

    private const LANE_SHAFT = 0.14;

    private function __construct(private int $width)
    {
    }

    /**
     * @param  list<Dwelling>  $boxes
     * @param  self::WIDE|self::NARROW  $width
     */
    public static function draw(array $boxes, int $width = self::WIDE): GroundPicture
    {
        return (new self($width))->picture($boxes);
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
                self::FIRST_ROW + $rows * (self::CHAMBER_HEIGHT + self::ROW_GAP) + 20,
            ),
            self::TURF,
            $chambers,
            $this->gallery($chambers),
            $this->ways($chambers),
            $this->passages($chambers),
            $this->shafts($chambers),
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
                $count <= 16 => 4,
                default => 5,
            },
        );
        $open = array_values(array_filter($boxes, fn (Dwelling $box): bool => $box->openings !== []));
        $closed = array_values(array_filter($boxes, fn (Dwelling $box): bool => $box->openings === []));
        $roof = array_slice($open, 0, $columns);
        $beside = array_splice($closed, 0, $columns - count($roof));
        $order = [...$beside, ...array_reverse($roof), ...array_slice($open, $columns), ...$closed];
        $width = min(190, ($this->width - self::GUTTER) / $columns - self::GUTTER);
        $left = ($this->width - $columns * ($width + self::GUTTER)) / 2;
        $chambers = [];
        foreach ($order as $index => $box) {
            $column = $index % $columns;
            $row = intdiv($index, $columns);
            $chambers[] = new Chamber(
                $box,
                $column,
                $row,
                $left + self::GUTTER + $column * ($width + self::GUTTER),
                self::FIRST_ROW + $row * (self::CHAMBER_HEIGHT + self::ROW_GAP),
                $width,
                self::CHAMBER_HEIGHT,
            );
        }

        return $chambers;
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
        $gallery = [new Way([[$middle, self::TURF + 14.0], [$middle, self::GALLERY]])];
        for ($i = 1; $i < count($along); $i++) {
            $gallery[] = new Way([[$along[$i - 1], self::GALLERY], [$along[$i], self::GALLERY]]);
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
            $x = $chamber->x - self::GUTTER * (1 - self::LANE_WAY);

            return new Way([
                [$x, self::GALLERY],
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
                    $passages[] = self::passage($from, $to, $what);
                }
            }
        }

        return $passages;
    }

    /** Down into the gap below, along it to the gutter beside the other chamber, along that, and in from below. */
    private static function passage(Chamber $from, Chamber $to, string $label): Way
    {
        $below = fn (Chamber $c): float => $c->bottom() + self::ROW_GAP * (0.5 + 0.13 * ($from->column % 3));
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
        $lane = $to->x - self::GUTTER * (1 - self::LANE_PASSAGE);

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
            $x = $deepest->x + $deepest->width + self::GUTTER * self::LANE_SHAFT;
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
