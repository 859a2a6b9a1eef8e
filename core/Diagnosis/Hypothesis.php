<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Cause;

/** One explanation of all that was seen: a cause, two at once, or something that nobody thought of. */
final readonly class Hypothesis
{
    /** @param  list<Cause>  $causes  one or two; none: something else */
    public function __construct(public array $causes, public float $probability)
    {
    }

    public function label(): string
    {
        return $this->causes === []
            ? 'Something else'
            : implode(' + ', array_map(fn (Cause $cause): string => $cause->label, $this->causes));
    }
}
