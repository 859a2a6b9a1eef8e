<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Catalogue\Part\Cable;
use Burrow\Quantity\Ohms;
use InvalidArgumentException;

/** Resistance of copper wire from its gauge: diameter by ASTM B258, resistivity by the IACS at 20 °C. */
final class Wire
{
    /** Ω·m at 20 °C, International Annealed Copper Standard. */
    public const RESISTIVITY = 1.724e-8;

    /** Diameter in metres: 0.127 mm × 92^((36−n)/39). */
    public static function diameter(int $gauge): float
    {
        if ($gauge < 0 || $gauge > 40) {
            throw new InvalidArgumentException("The formula holds for gauges 0 to 40: {$gauge}.");
        }

        return 0.127e-3 * 92 ** ((36 - $gauge) / 39);
    }

    /** One conductor of a metre. */
    public static function ohmsPerMetre(int $gauge): Ohms
    {
        return Ohms::of(self::RESISTIVITY / (M_PI * (self::diameter($gauge) / 2) ** 2));
    }

    /** There and back: the current flows through two conductors. */
    public static function roundTrip(Cable $cable): Ohms
    {
        return Ohms::of(2 * $cable->metres * self::ohmsPerMetre($cable->gauge)->ohms);
    }
}
