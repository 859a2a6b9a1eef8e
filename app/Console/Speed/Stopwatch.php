<?php

declare(strict_types=1);

namespace App\Console\Speed;

/** The middle of several times: a busy moment of the machine is in some of them, and not in that one. */
final class Stopwatch
{
    public const ROUNDS = 40;

    /**
     * @param  callable(): mixed  $act
     * @return float milliseconds
     */
    public static function median(callable $act, int $rounds = self::ROUNDS): float
    {
        $times = [];
        for ($round = 0; $round < $rounds; $round++) {
            $began = hrtime(true);
            $act();
            $times[] = (hrtime(true) - $began) / 1e6;
        }

        return self::middle($times);
    }

    /** @param  list<float>  $times */
    public static function middle(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)];
    }

    private function __construct()
    {
    }
}
