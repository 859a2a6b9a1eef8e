<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Draw;

use Burrow\Diagnosis\NextCheck;

/** Checks as holes in the ground: as wide as their minutes, as deep as the doubt they clear. */
final readonly class HolePicture
{
    public const WIDTH = 440.0;

    public const HEIGHT = 78.0;

    private const TURF = 10.0;

    private const NARROWEST = 5.0;

    /** @param  list<array{title: string, said: string, id: string, x: float, width: float, depth: float}>  $holes */
    private function __construct(public array $holes)
    {
    }

    /** @param  list<NextCheck>  $checks */
    public static function of(array $checks): self
    {
        $count = max(1, count($checks));
        $cell = self::WIDTH / $count;
        $longest = max([1.0, ...array_map(fn (NextCheck $one): float => $one->check->minutes, $checks)]);
        $holes = [];
        foreach ($checks as $at => $one) {
            $holes[] = [
                'title' => $one->check->title,
                'said' => self::minutes($one->check->minutes).', clears '.RootPicture::percent($one->share),
                'id' => $one->check->id,
                'x' => $at * $cell + 2,
                'width' => max(self::NARROWEST, ($cell - 14) * ($one->check->minutes / $longest)),
                'depth' => self::TURF + (self::HEIGHT - self::TURF - 6) * $one->share,
            ];
        }

        return new self($holes);
    }

    public static function minutes(float $minutes): string
    {
        return match (true) {
            $minutes < 0.25 => 'a moment',
            $minutes < 1 => round(60 * $minutes).' s',
            default => rtrim(rtrim(number_format($minutes, 1), '0'), '.').' min',
        };
    }
}
