<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** One of the answers that a check can have. */
final readonly class Answer
{
    /** @param  list<Light>  $lights  what is seen, for checks of lights: one for each light */
    public function __construct(public string $id, public string $label, public array $lights = [])
    {
    }
}
