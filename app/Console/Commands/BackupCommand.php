<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Archive;
use Burrow\Upkeep\Retention;
use DateTimeImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** The whole household in one file. Nightly ones are kept in steps: seven days, five weeks, twelve months. */
final class BackupCommand extends Command
{
    private const NIGHTLY = 'nightly-';

    /** Copies of one kind that are kept from before a change. */
    private const BEFORE = 10;

    private const A_DAY = 23 * 3600;

    protected $signature = 'burrow:backup {file? : where to} {--nightly : into var/backup, once a day} {--before-migrating : into var/backup, when the database is about to be changed}';

    protected $description = 'Backs up the whole household';

    public function handle(): int
    {
        $folder = (getenv('BURROW_VAR') ?: base_path('var')).'/backup';
        $stamp = now()->utc()->format('Ymd-His');
        $file = match (true) {
            (bool) $this->option('nightly') => $this->isDue($folder)
                ? "{$folder}/".self::NIGHTLY."{$stamp}.tar.gz"
                : null,
            (bool) $this->option('before-migrating') => $this->isOlder()
                ? "{$folder}/before-migrating-{$stamp}.tar.gz"
                : null,
            default => (string) $this->argument('file'),
        };
        if ($file === null) {
            return 0;
        }
        if ($file === '' || ! is_dir(dirname($file))) {
            $this->error(
                $file === '' ? 'Where to? ./burrow backup FILE' : 'There is no folder '.dirname($file).'.',
            );

            return 2;
        }
        try {
            $tables = Archive::here()->write($file);
        } catch (RuntimeException $problem) {
            $this->error("The backup was not made: {$problem->getMessage()}");

            return 1;
        }
        $this->line(
            sprintf(
                '%s: %d tables with %d rows, read back and the same.',
                $file,
                count($tables),
                array_sum(array_column($tables, 'rows')),
            ),
        );
        $this->thin($folder);

        return 0;
    }

    private function isDue(string $folder): bool
    {
        $newest = max([
            0,
            ...array_map(
                fn (string $file): int => (int) filemtime($file),
                glob("{$folder}/".self::NIGHTLY.'*.tar.gz') ?: [],
            ),
        ]);

        // A clock that was set back makes no copy wait for years.
        return abs(now()->getTimestamp() - $newest) > self::A_DAY;
    }

    /** The database holds something, and has migrations before it. */
    private function isOlder(): bool
    {
        if (! Schema::hasTable('migrations') || ! Schema::hasTable('users')) {
            return false;
        }
        $known = array_map(
            fn (string $file): string => basename($file, '.php'),
            glob(database_path('migrations/*.php')) ?: [],
        );

        return array_diff($known, app('migrator')->getRepository()->getRan()) !== [];
    }

    private function thin(string $folder): void
    {
        // Copies from before something was changed: the last ones of each kind.
        foreach (['before-import', 'before-restore', 'before-migrating'] as $kind) {
            $files = glob("{$folder}/{$kind}-*.tar.gz") ?: [];
            sort($files);
            array_map(unlink(...), array_slice($files, 0, -self::BEFORE));
        }
        $copies = [];
        foreach (glob("{$folder}/".self::NIGHTLY.'*.tar.gz') ?: [] as $file) {
            $made = DateTimeImmutable::createFromFormat(
                'Ymd-His',
                substr(basename($file, '.tar.gz'), strlen(self::NIGHTLY)),
            );
            if ($made !== false) {
                $copies[$file] = $made;
            }
        }
        array_map(unlink(...), (new Retention())->spare($copies));
    }
}
