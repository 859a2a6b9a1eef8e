<?php

declare(strict_types=1);

namespace Burrow\Judgement;

/** How much a finding matters. `Stop` blocks the next step until it is dealt with or overruled with a reason. */
enum Severity: string
{
    case Fine = 'fine';
    case Note = 'note';
    case Warn = 'warn';
    case Stop = 'stop';

    /** 0 for fine up to 3 for stop. */
    public function rank(): int
    {
        return match ($this) {
            self::Fine => 0,
            self::Note => 1,
            self::Warn => 2,
            self::Stop => 3,
        };
    }
}
