<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** Where a step of a playbook happens. */
enum StepPlace: string
{
    case Hand = 'hand';
    case Desk = 'desk';
    case Router = 'router';
    case Box = 'box';
    case Wait = 'wait';
    case Check = 'verify';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'done by hand',
            self::Desk, self::Router => 'typed at the desk computer',
            self::Box => 'typed on the box',
            self::Wait => 'a wait',
            self::Check => 'checked for you',
        };
    }

    /** The name of its picture. */
    public function icon(): string
    {
        return $this === self::Router ? self::Desk->value : $this->value;
    }
}
