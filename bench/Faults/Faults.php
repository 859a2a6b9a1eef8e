<?php

declare(strict_types=1);

namespace Bench\Faults;

/** Every fault that can be put into a board. A new one is one class and one line here. */
final class Faults
{
    /** @return list<Fault> */
    public static function all(): array
    {
        return [new DeadSupply(), new NoCable(), new WeakSupply(), new NoRemoteLogin()];
    }

    /** Null for a name that is none: the board is well. */
    public static function of(?string $name): ?Fault
    {
        foreach (self::all() as $fault) {
            if ($fault->name() === $name) {
                return $fault;
            }
        }

        return null;
    }
}
