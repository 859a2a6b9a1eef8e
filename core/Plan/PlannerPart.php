<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Judgement\Findings;
use Burrow\Judgement\Working;

/** One part of the planner: what it judges of a plan, what it works out, and which figures it has. */
interface PlannerPart
{
    /** Null where the plan has nothing of it. */
    public static function of(PlanInput $plan): ?self;

    public function judge(): Findings;

    /** @return list<Working> */
    public function workings(): array;

    /** @return array<string, float|int|string|null> by the names that names() lists */
    public function figures(): array;

    /** @return list<string> stable names, each ending in its unit where it has one */
    public static function names(): array;
}
