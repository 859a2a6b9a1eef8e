<?php

declare(strict_types=1);

namespace Burrow\Plan;

/** A box in service that could take the jobs as well: its name and the plan it runs on. */
final readonly class Host
{
    public function __construct(public string $name, public PlanInput $plan)
    {
    }
}
