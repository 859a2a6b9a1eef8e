<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Judgement\Severity;

/** How well something runs: four levels, because "it starts" and "it can be used" are two things. */
enum Level: string
{
    case RunsWell = 'runs well';
    case RunsSlowly = 'runs slowly';
    case Unusable = 'starts but is unusable';
    case DoesNotRun = 'does not run';

    public function severity(): Severity
    {
        return match ($this) {
            self::RunsWell => Severity::Fine,
            self::RunsSlowly => Severity::Warn,
            self::Unusable, self::DoesNotRun => Severity::Stop,
        };
    }
}
