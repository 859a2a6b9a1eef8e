<?php

declare(strict_types=1);

namespace Burrow\Plan;

/** When a box is on. */
enum Duty: string
{
    case AroundTheClock = 'always';
    case PluggedIn = 'plugged-in';
    case Travelling = 'travelling';

    public function label(): string
    {
        return match ($this) {
            self::AroundTheClock => 'around the clock',
            self::PluggedIn => 'when plugged in',
            self::Travelling => 'travelling',
        };
    }

    /** Share of the year that it draws power: common practice. */
    public function share(): float
    {
        return match ($this) {
            self::AroundTheClock => 1.0,
            self::PluggedIn => 0.15,
            self::Travelling => 0.1,
        };
    }
}
