<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

/** Where a step of a playbook happens. */
enum StepKind: string
{
    case Hand = 'hand';
    case Desk = 'desk';
    case Box = 'box';
    case Wait = 'wait';
    case Verify = 'verify';

    public function label(): string
    {
        return match ($this) {
            self::Hand => 'done by hand',
            self::Desk => 'typed at the desk computer',
            self::Box => 'typed on the box',
            self::Wait => 'a wait',
            self::Verify => 'checked for you',
        };
    }
}
