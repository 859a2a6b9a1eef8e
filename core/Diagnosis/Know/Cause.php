<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** One thing that may be wrong, with its cure and where the run goes on after it. */
final readonly class Cause
{
    /**
     * @param  float  $odds  how often it is met, as a share; only the ratio to the other causes counts
     * @param  string  $needs  what the box must have for it; empty: nothing
     * @param  float  $minutes  of a person's time for the cure
     * @param  string  $back  part of the run where one goes on: the id of a playbook's shared part
     */
    public function __construct(
        public string $id,
        public string $label,
        public Layer $layer,
        public float $odds,
        public string $needs,
        public string $cure,
        public float $minutes,
        public string $back,
    ) {
    }
}
