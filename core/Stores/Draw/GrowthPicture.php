<?php

declare(strict_types=1);

namespace Burrow\Stores\Draw;

use Burrow\Stores\Grow\Growth;

/** Layers above each other over the days, each growing until its oldest is taken away, under the line of the room. */
final readonly class GrowthPicture
{
    public const WIDTH = 760;

    public const HEIGHT = 240;

    public const LEFT = 64;

    public const RIGHT = 640;

    public const TOP = 16;

    public const BOTTOM = 200;

    /**
     * @param  list<array{name: string, path: string, label: float}>  $layers  the lowest first; label is the height of its middle at the right end
     * @param  float  $roomY  height of the line of the room
     * @param  ?float  $full  where the layers meet it
     * @param  float  $days  at the right end
     */
    private function __construct(
        public array $layers,
        public float $roomY,
        public ?float $full,
        public float $days,
        public float $top,
    ) {
    }

    /**
     * @param  non-empty-list<Growth>  $all
     * @param  float  $room  bytes
     */
    public static function of(array $all, float $room): self
    {
        $writing = array_values(array_filter($all, fn (Growth $one): bool => $one->perDay > 0));
        $days = 1.1 * max([1.0, ...array_map(fn (Growth $one): float => $one->days, $writing)]);
        $top = 1.1 * max($room, Growth::sum($writing, $days), 1.0);
        $x = fn (float $day): float => round(self::LEFT + ($day / $days) * (self::RIGHT - self::LEFT), 1);
        $y = fn (float $bytes): float => round(self::BOTTOM - ($bytes / $top) * (self::BOTTOM - self::TOP), 1);
        // Between two ends of growing everything is straight.
        $at = array_unique([0.0, ...array_map(fn (Growth $one): float => $one->days, $writing), $days]);
        sort($at);
        $below = array_fill(0, count($at), 0.0);
        $layers = [];
        foreach ($writing as $one) {
            $above = array_map(fn (float $day, float $low): float => $low + $one->after($day), $at, $below);
            $points = [];
            foreach ($at as $i => $day) {
                $points[] = $x($day).' '.$y($above[$i]);
            }
            foreach (array_reverse(array_keys($at)) as $i) {
                $points[] = $x($at[$i]).' '.$y($below[$i]);
            }
            $last = count($at) - 1;
            $layers[] = [
                'name' => $one->name,
                'path' => 'M'.implode(' L', $points).'Z',
                'label' => ($y($above[$last]) + $y($below[$last])) / 2,
            ];
            $below = $above;
        }
        $full = Growth::fullAfter($writing, $room);

        return new self(self::apart($layers), $y($room), $full === null ? null : $x($full), $days, $top);
    }

    /**
     * Labels that would lie on each other stand a line apart.
     *
     * @param  list<array{name: string, path: string, label: float}>  $layers
     * @return list<array{name: string, path: string, label: float}>
     */
    private static function apart(array $layers): array
    {
        $limit = self::BOTTOM;
        foreach ($layers as $i => $layer) {
            $layers[$i]['label'] = min($layer['label'], $limit);
            $limit = $layers[$i]['label'] - 16;
        }

        return $layers;
    }
}
