<?php

declare(strict_types=1);

namespace Burrow\Drawing;

/** A line of straight pieces, each level or upright, with a label at its first corner. */
final readonly class Way
{
    /** @param  non-empty-list<array{float, float}>  $points */
    public function __construct(public array $points, public string $label = '')
    {
    }

    /**
     * An SVG path with its corners rounded.
     *
     * @param  float  $sway  how far a long piece bows to either side, as something dug by hand does
     */
    public function path(float $radius = 9, float $sway = 0): string
    {
        [$x, $y] = $this->points[0];
        $path = sprintf('M%.1f %.1f', $x, $y);
        $last = count($this->points) - 1;
        for ($i = 1; $i <= $last; $i++) {
            [$px, $py] = $this->points[$i - 1];
            [$x, $y] = $this->points[$i];
            if ($i === $last) {
                $path .= self::piece($px, $py, $x, $y, $sway);
                break;
            }
            [$nx, $ny] = $this->points[$i + 1];
            $in = min($radius, (abs($x - $px) + abs($y - $py)) / 2);
            $out = min($radius, (abs($nx - $x) + abs($ny - $y)) / 2);
            $path .= self::piece($px, $py, $x - $in * ($x <=> $px), $y - $in * ($y <=> $py), $sway);
            $path .= sprintf(' Q%.1f %.1f %.1f %.1f', $x, $y, $x + $out * ($nx <=> $x), $y + $out * ($ny <=> $y));
        }

        return $path;
    }

    private static function piece(float $fromX, float $fromY, float $x, float $y, float $sway): string
    {
        $dx = $x - $fromX;
        $dy = $y - $fromY;
        if ($sway === 0.0 || abs($dx) + abs($dy) < 40) {
            return sprintf(' L%.1f %.1f', $x, $y);
        }
        [$sx, $sy] = abs($dx) > abs($dy) ? [0, $sway] : [$sway, 0];

        return sprintf(
            ' C%.1f %.1f %.1f %.1f %.1f %.1f',
            $fromX + $dx / 3 + $sx,
            $fromY + $dy / 3 + $sy,
            $fromX + ($dx * 2) / 3 - $sx,
            $fromY + ($dy * 2) / 3 - $sy,
            $x,
            $y,
        );
    }
}
