<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Database;
use Illuminate\Console\Command;

/** Rows and a sum over all values of each table, for comparing two states of a household. */
final class SumsCommand extends Command
{
    protected $signature = 'burrow:sums';

    protected $description = 'A sum over each table of the database';

    public function handle(): int
    {
        foreach (Database::live()->sums() as $table => ['rows' => $rows, 'sum' => $sum]) {
            $this->line("{$table} {$rows} {$sum}");
        }

        return 0;
    }
}
