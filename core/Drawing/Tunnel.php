<?php

declare(strict_types=1);

namespace Burrow\Drawing;

/** A line of straight pieces, each level or upright, with a label at its first corner. */
final readonly class Tunnel
{
    /** @param non-empty-list<array{float, float}> $points */
    public function __construct(
        public array $points,
        public string $label = '',
    ) {}

    /** An SVG path with its corners rounded. */
    public function path(float $radius = 9): string
    {
        [$x, $y] = $this->points[0];
        $path = sprintf('M%.1f %.1f', $x, $y);
        $last = count($this->points) - 1;
        for ($i = 1; $i <= $last; $i++) {
            [$px, $py] = $this->points[$i - 1];
            [$x, $y] = $this->points[$i];
            if ($i === $last) {
                $path .= sprintf(' L%.1f %.1f', $x, $y);
                break;
            }
            [$nx, $ny] = $this->points[$i + 1];
            $in = min($radius, (abs($x - $px) + abs($y - $py)) / 2);
            $out = min($radius, (abs($nx - $x) + abs($ny - $y)) / 2);
            $path .= sprintf(
                ' L%.1f %.1f Q%.1f %.1f %.1f %.1f',
                $x - $in * ($x <=> $px), $y - $in * ($y <=> $py),
                $x, $y,
                $x + $out * ($nx <=> $x), $y + $out * ($ny <=> $y),
            );
        }

        return $path;
    }
}
