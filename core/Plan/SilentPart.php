<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Judgement\Findings;

/** What a part of the planner does not say, it leaves out. */
trait SilentPart
{
    public function judge(): Findings
    {
        return Findings::of();
    }

    public function workings(): array
    {
        return [];
    }

    public function figures(): array
    {
        return [];
    }

    public static function names(): array
    {
        return [];
    }
}
