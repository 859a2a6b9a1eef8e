<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** Where a check is made. */
enum Where: string
{
    case Hand = 'hand';
    case Desk = 'desk';
    case Tool = 'tool';
    case Box = 'box';
    case Router = 'router';

    public function words(): string
    {
        return match ($this) {
            self::Hand => 'a look at the box',
            self::Desk => 'at the desk computer',
            self::Tool => 'Keen Burrow asks by itself',
            self::Box => 'on the box',
            self::Router => 'on the router’s page',
        };
    }
}
