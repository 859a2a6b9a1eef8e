<?php

declare(strict_types=1);

namespace App\Household;

use Closure;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/**
 * A mark that is another one after each change of the record, whoever makes it through this application. It lies in a
 * file, so that reading it asks nothing of the database.
 */
final class RecordStamp
{
    /** Tables that hold nothing of the household. */
    private const NOT_THE_RECORD = [
        'jobs',
        'job_batches',
        'failed_jobs',
        'cache',
        'cache_locks',
        'migrations',
        'report_inbox',
    ];

    /** Seconds for which pages may not show yet what boxes told by themselves; a person's own changes show at once. */
    private const SOON = 10;

    private bool $changing = false;

    private bool $byItself = false;

    public function __construct(private readonly string $folder)
    {
    }

    /** From now on every statement that writes changes the mark. Listens only: no connection is opened for it. */
    public function watch(): void
    {
        Event::listen(function (QueryExecuted $query): void {
            if (
                preg_match(
                    '/^\s*(?:insert|update|delete|replace|truncate)\b[^`]*`(\w+)`/i',
                    $query->sql,
                    $m,
                ) === 1 &&
                ! in_array($m[1], self::NOT_THE_RECORD, true)
            ) {
                // What a transaction wrote others see after its end only; the mark changes once more then.
                $this->changing = $query->connection->transactionLevel() > 0;
                $this->byItself ? $this->changeSoon() : $this->change();
            }
        });
        Event::listen(TransactionCommitted::class, function (): void {
            if ($this->changing) {
                $this->changing = false;
                $this->byItself ? $this->changeSoon() : $this->change();
            }
        });
    }

    /** The mark as it is; empty when none could be read, and then nothing is kept by it. */
    public function now(): string
    {
        $file = $this->file();
        $since = @filemtime("{$file}.soon");
        if (is_int($since) && abs(time() - $since) >= self::SOON) {
            $this->change();
        }
        $mark = is_file($file) ? @file_get_contents($file) : $this->change();

        return is_string($mark) ? $mark : '';
    }

    /**
     * What boxes tell by themselves: a thousand of them may do so for an hour, and no page would be kept for a moment.
     *
     * @template T
     *
     * @param  Closure(): T  $write
     * @return T
     */
    public function whileBoxesTell(Closure $write): mixed
    {
        $this->byItself = true;
        try {
            return $write();
        } finally {
            $this->byItself = false;
        }
    }

    /** The mark is another one in some seconds, by whoever asks for it then. */
    private function changeSoon(): void
    {
        $soon = "{$this->file()}.soon";
        clearstatcache(true, $soon);
        is_file($soon) || @touch($soon);
    }

    public function change(): string
    {
        @unlink("{$this->file()}.soon");
        $mark = bin2hex(random_bytes(12));

        return @file_put_contents($this->file(), $mark, LOCK_EX) === strlen($mark) ? $mark : '';
    }

    private function file(): string
    {
        return "{$this->folder}/record-".DB::connection()->getDatabaseName();
    }
}
