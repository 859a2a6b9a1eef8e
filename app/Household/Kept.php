<?php

declare(strict_types=1);

namespace App\Household;

use Closure;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;
use Throwable;

/** What was worked out of the record, kept until the record changes, or for some seconds: time goes on by itself. */
final readonly class Kept
{
    private const SECONDS = 20;

    /** A little more than the minute between two rounds, each of which makes it anew. */
    private const SECONDS_AHEAD = 75;

    public function __construct(
        private Repository $cache,
        private RecordStamp $stamp,
        private bool $isAhead = false,
    ) {
    }

    /** The same, making everything anew and keeping it until the next round comes. */
    public function ahead(): self
    {
        return new self($this->cache, $this->stamp, true);
    }

    /**
     * @template T of object
     *
     * @param  string  $name  of what is kept, with all that it depends on beside the record
     * @param  class-string<T>  $is
     * @param  Closure(): T  $make
     * @return T
     */
    public function of(string $name, string $is, Closure $make): object
    {
        $mark = $this->stamp->now();
        $key = 'kept:'.hash('sha256', DB::connection()->getDatabaseName()." {$name}");
        if ($mark !== '' && ! $this->isAhead) {
            $kept = $this->read($key);
            if (
                is_array($kept) &&
                ($kept['mark'] ?? null) === $mark &&
                is_int($kept['at'] ?? null) &&
                is_int($kept['for'] ?? null) &&
                abs(now()->getTimestamp() - $kept['at']) < $kept['for'] &&
                ($kept['value'] ?? null) instanceof $is
            ) {
                return $kept['value'];
            }
        }
        $at = now()->getTimestamp();
        $made = $make();
        $for = $this->isAhead ? self::SECONDS_AHEAD : self::SECONDS;
        try {
            $this->cache->put($key, ['mark' => $mark, 'at' => $at, 'for' => $for, 'value' => $made], 2 * $for);
        } catch (Throwable $problem) {
            // On a full disk it is worked out each time.
            report($problem);
        }

        return $made;
    }

    private function read(string $key): mixed
    {
        try {
            return $this->cache->get($key);
        } catch (Throwable) {
            // What was kept by another release, or half written, is none.
            return null;
        }
    }
}
