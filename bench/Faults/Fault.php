<?php

declare(strict_types=1);

namespace Bench\Faults;

/** Something that is wrong with a board, as it is met in houses. */
interface Fault
{
    public function name(): string;

    /** For the person who puts it in. */
    public function label(): string;

    /** The board starts at all. */
    public function starts(): bool;

    /** It has a network cable with both ends in. */
    public function hasCable(): bool;

    /** How many times longer everything takes. */
    public function slowness(): float;

    /** Whether it answers on a port that something is to listen on. */
    public function opens(int $port): bool;
}
