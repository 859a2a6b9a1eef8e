<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** Who may command the container engine of a box through its group, as the box told it at one moment. */
final readonly class EngineGroup
{
    /** @param  list<string>  $accounts  empty for nobody */
    public function __construct(
        public string $box,
        public DateTimeImmutable $at,
        public string $group,
        public array $accounts,
    ) {
    }
}
