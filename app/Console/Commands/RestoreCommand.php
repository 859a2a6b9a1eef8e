<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Archive;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use RuntimeException;

/** Puts a backup back, table by table the same as it was; what is there now is backed up first. */
final class RestoreCommand extends Command
{
    protected $signature = 'burrow:restore {file? : a backup} {--check : only look whether it is whole} {--resume : go on with a restore that was cut off}';

    protected $description = 'Puts a backup of the household back';

    public function handle(): int
    {
        $archive = Archive::here();
        try {
            if ($this->option('resume')) {
                return $this->finish($archive);
            }
            $checked = $archive->check((string) $this->argument('file'));
            $this->line(
                sprintf(
                    'A backup of %s: %d tables with %d rows, whole.',
                    date('Y-m-d H:i', $checked['made']),
                    count($checked['tables']),
                    array_sum(array_column($checked['tables'], 'rows')),
                ),
            );
            if ($this->option('check')) {
                File::deleteDirectory($checked['folder']);

                return 0;
            }
            $before =
                dirname($archive->restoring()).
                '/backup/before-restore-'.
                now()->utc()->format('Ymd-His').
                '.tar.gz';
            $archive->write($before);
            $this->line("What was there before lies in {$before}.");
            File::deleteDirectory($archive->restoring());
            rename($checked['folder'], $archive->restoring());

            return $this->finish($archive);
        } catch (RuntimeException $problem) {
            $this->error("Not restored: {$problem->getMessage()}");

            return 1;
        }
    }

    private function finish(Archive $archive): int
    {
        $tables = $archive->putBack($archive->restoring());
        File::deleteDirectory($archive->restoring());
        $this->line(
            sprintf(
                'Restored: %d tables with %d rows, each the same as in the backup.',
                count($tables),
                array_sum(array_column($tables, 'rows')),
            ),
        );

        return 0;
    }
}
