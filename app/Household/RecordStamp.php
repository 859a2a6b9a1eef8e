<?php

declare(strict_types=1);

namespace App\Household;

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
    ];

    private bool $changing = false;

    public function __construct(private readonly string $folder)
    {
    }

    /** From now on every statement that writes changes the mark. */
    public function watch(): void
    {
        DB::listen(function (QueryExecuted $query): void {
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
                $this->change();
            }
        });
        Event::listen(TransactionCommitted::class, function (): void {
            if ($this->changing) {
                $this->changing = false;
                $this->change();
            }
        });
    }

    /** The mark as it is; empty when none could be read, and then nothing is kept by it. */
    public function now(): string
    {
        $file = $this->file();
        $mark = is_file($file) ? @file_get_contents($file) : $this->change();

        return is_string($mark) ? $mark : '';
    }

    public function change(): string
    {
        $mark = bin2hex(random_bytes(12));

        return @file_put_contents($this->file(), $mark, LOCK_EX) === strlen($mark) ? $mark : '';
    }

    private function file(): string
    {
        return "{$this->folder}/record-".DB::connection()->getDatabaseName();
    }
}
