<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Door;

/** A service of the distribution: its unit, what keeps it from starting, and where it answers while it runs. */
interface Service
{
    public function unit(): string;

    /** The package that brings it. */
    public function package(): string;

    /** In the program's own words; null when it starts. */
    public function problem(Board $board): ?string;

    /** @return list<Door> */
    public function doors(Board $board): array;
}
