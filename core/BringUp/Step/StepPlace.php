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
    case Page = 'page';
    case Wait = 'wait';
    case Check = 'verify';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'done by hand',
            self::Desk => 'at the desk computer',
            self::Router => 'on the router\'s page',
            self::Box => 'typed on the box',
            self::Page => 'done on its page',
            self::Wait => 'a wait',
            self::Check => 'checked for you',
        };
    }

    /** The name of its picture. */
    public function icon(): string
    {
        return in_array($this, [self::Router, self::Page], true) ? self::Desk->value : $this->value;
    }
}
