<?php

declare(strict_types=1);

namespace App\BringUp;

use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Looks at boxes that start, and again a moment later, until there is nothing to watch. */
final class WatchStarts implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** Seconds between two looks: the tenth part of the shortest usual restart would be nicer and keep a box busy. */
    private const BETWEEN = 3;

    /** A lock that a killed worker left is gone after this many seconds. */
    public int $uniqueFor = 60;

    public int $tries = 1;

    public function handle(StartWatch $watch): void
    {
        if ($watch->look() && config('queue.default') !== 'sync') {
            self::dispatch()->delay(now()->addSeconds(self::BETWEEN));
        }
    }
}
