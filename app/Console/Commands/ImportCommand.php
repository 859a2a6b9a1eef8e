<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Archive;
use App\Backup\HouseholdFile;
use Illuminate\Console\Command;
use RuntimeException;

/** Puts a household from its JSON file in place of what is there, which is backed up first. */
final class ImportCommand extends Command
{
    protected $signature = 'burrow:import {file : a household file} {--check : only look it over}';

    protected $description = 'Puts a household from its JSON file in place of what is there';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        try {
            $rows = HouseholdFile::take($file, true);
            if ($this->option('check')) {
                $this->line(
                    sprintf(
                        'A household: %d tables with %d rows. Nothing was changed.',
                        count($rows),
                        array_sum($rows),
                    ),
                );

                return 0;
            }
            $before =
                (getenv('BURROW_VAR') ?: base_path('var')).
                '/backup/before-import-'.
                now()->utc()->format('Ymd-His').
                '.tar.gz';
            Archive::here()->write($before);
            $this->line("What was there before lies in {$before}.");
            $rows = HouseholdFile::take($file);
        } catch (RuntimeException $problem) {
            fwrite(STDERR, "Not imported, and nothing was changed.\n{$problem->getMessage()}\n");

            return 1;
        }
        $this->line(sprintf('Imported: %d rows. Logins are those of before.', array_sum($rows)));

        return 0;
    }
}
