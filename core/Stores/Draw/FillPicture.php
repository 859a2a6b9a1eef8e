<?php

declare(strict_types=1);

namespace Burrow\Stores\Draw;

use Burrow\Household\Fill;
use Burrow\Stores\FillForecast;

/** A disk filling up: what was, the trend, and how far it may lie off; from empty at the bottom to full at the top. */
final readonly class FillPicture
{
    public const WIDTH = 560.0;

    public const HEIGHT = 190.0;

    public const LEFT = 46.0;

    public const RIGHT = 546.0;

    public const TOP = 14.0;

    public const BOTTOM = 160.0;

    private const POINTS = 140;

    private const AHEAD = 40;

    /** As far ahead as was looked back, within these days. */
    private const AHEAD_LEAST = 30;

    private const AHEAD_MOST = 730;

    /**
     * @param  string  $line  the path of what was
     * @param  string  $band  the area in which what comes lies with 90 percent; empty without a trend
     * @param  string  $trend  the path of what is likely
     * @param  list<array{x: float, label: string}>  $marks  days
     * @param  ?array{x: float, label: string}  $crossing  where 85 percent are reached, if that is in the picture
     */
    private function __construct(
        public string $line,
        public string $band,
        public string $trend,
        public float $now,
        public array $marks,
        public ?array $crossing,
    ) {
    }

    public static function of(Fill $fill, FillForecast $forecast): self
    {
        $first = $fill->samples[0][0];
        $back = max(1, $forecast->now - $first);
        $end = $forecast->now + (int) max(self::AHEAD_LEAST * 86400, min(self::AHEAD_MOST * 86400, $back));
        $x = fn (int $at): float => self::LEFT +
            ((self::RIGHT - self::LEFT) * ($at - $first)) / max(1, $end - $first);
        $y = fn (float $bytes): float => self::y($bytes / $fill->bytes);
        $step = max(1, (int) ceil(count($fill->samples) / self::POINTS));
        $points = [];
        foreach ($fill->samples as $i => [$at, $used]) {
            if ($i % $step === 0 || $i === count($fill->samples) - 1) {
                $points[] = round($x($at), 1).' '.round($y($used), 1);
            }
        }
        $trend = $band = '';
        if ($forecast->samples >= 3) {
            // Point by point, since what is beyond full is drawn at the top.
            $above = $below = $likely = [];
            for ($i = 0; $i <= self::AHEAD; $i++) {
                $days = ((($end - $forecast->now) / 86400) * $i) / self::AHEAD;
                $at = round($x($forecast->now + (int) ($days * 86400)), 1);
                $level = $forecast->at($forecast->now) + $forecast->perDay * $days;
                $off = $forecast->off($forecast->now + (int) ($days * 86400));
                $likely[] = "{$at} ".round($y($level), 1);
                $above[] = "{$at} ".round($y($level + $off), 1);
                array_unshift($below, "{$at} ".round($y($level - $off), 1));
            }
            $trend = 'M'.implode(' L', $likely);
            $band = 'M'.implode(' L', [...$above, ...$below]).' Z';
        }
        $reached = $forecast->reaches(0.85)['at'];

        return new self(
            'M'.implode(' L', $points),
            $band,
            $trend,
            round($x($forecast->now), 1),
            [
                ['x' => self::LEFT, 'label' => gmdate('j M Y', $first)],
                ['x' => self::RIGHT, 'label' => gmdate('j M Y', $end)],
            ],
            $reached !== null && $reached > $forecast->now && $reached <= $end
                ? ['x' => round($x($reached), 1), 'label' => gmdate('j M Y', $reached)]
                : null,
        );
    }

    /** Where so much of a disk stands; what is beyond its ends is drawn at them. */
    public static function y(float $share): float
    {
        return self::BOTTOM - (self::BOTTOM - self::TOP) * max(0.0, min(1.0, $share));
    }
}
