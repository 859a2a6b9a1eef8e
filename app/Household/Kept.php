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

    public function __construct(private Repository $cache, private RecordStamp $stamp)
    {
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
        if ($mark !== '') {
            $kept = $this->read($key);
            if (
                is_array($kept) &&
                ($kept['mark'] ?? null) === $mark &&
                abs(now()->getTimestamp() - (is_int($kept['at'] ?? null) ? $kept['at'] : 0)) <
                    self::SECONDS &&
                ($kept['value'] ?? null) instanceof $is
            ) {
                return $kept['value'];
            }
        }
        $made = $make();
        try {
            $this->cache->put(
                $key,
                ['mark' => $mark, 'at' => now()->getTimestamp(), 'value' => $made],
                2 * self::SECONDS,
            );
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
