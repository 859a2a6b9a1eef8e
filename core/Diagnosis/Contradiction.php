<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

/** Two answers that no explanation gives both: one of them is mistaken, or is no longer so. Each counts half. */
final readonly class Contradiction
{
    public function __construct(public Seen $one, public Seen $other)
    {
    }
}
