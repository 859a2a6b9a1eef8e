<?php

declare(strict_types=1);

namespace Burrow\Household;

/** From how far away a port of a box may be spoken to; each stands nearer to the surface than the one before. */
enum WhoReaches: string
{
    case Box = 'box';
    case Some = 'some';
    case House = 'house';
    case Tunnel = 'tunnel';
    case World = 'world';

    public function label(): string
    {
        return match ($this) {
            self::Box => 'this box only',
            self::Some => 'some of the house',
            self::House => 'the house',
            self::Tunnel => 'the house and its tunnel',
            self::World => 'the world',
        };
    }

    /** 0 for the box alone, 4 for everybody. */
    public function depth(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    public function atLeast(self $other): bool
    {
        return $this->depth() >= $other->depth();
    }
}
