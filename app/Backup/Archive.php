<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use RuntimeException;

/**
 * The whole household in one file: a gzipped tar with the database as SQL, the settings of this copy, the files of its
 * own, and a manifest with a sum over each table. Nothing in it is a secret but the hashes of passwords.
 */
final readonly class Archive
{
    public const MANIFEST = 'manifest.json';

    public const SQL = 'database.sql';

    private const FORM = 1;

    /** Settings of a copy that go along, each a file of one line. */
    private const SETTINGS = ['demo', 'hosts', 'proxy'];

    public function __construct(private string $var)
    {
    }

    public static function here(): self
    {
        return new self(getenv('BURROW_VAR') ?: base_path('var'));
    }

    /**
     * Written aside, read back into a database of its own, and only then called what it is to be called.
     *
     * @return array<string, array{rows: int, sum: string}> what is in it, by table
     *
     * @throws RuntimeException when any of it fails; an older file of that name stays as it was
     */
    public function write(string $file): array
    {
        $folder = $this->folder('backup-'.bin2hex(random_bytes(6)));
        $database = Database::live();
        try {
            $database->dump("{$folder}/".self::SQL);
            $database->scratch()->load("{$folder}/".self::SQL);
            $sums = $database->scratch()->sums();
            $this->collect($folder);
            $manifest = [
                'form' => self::FORM,
                'made' => now()->getTimestamp(),
                'sql_sha256' => hash_file('sha256', "{$folder}/".self::SQL),
                'tables' => $sums,
            ];
            $this->put(
                "{$folder}/".self::MANIFEST,
                (string) json_encode($manifest, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR),
            );
            $new = "{$file}.new";
            touch($new);
            chmod($new, 0600);
            $this->run(['tar', '--create', '--gzip', "--file={$new}", "--directory={$folder}", '.']);
            $this->compare($new, $folder);
            rename($new, $file) ?: throw new RuntimeException("{$file} could not be written.");

            return $sums;
        } finally {
            $database->scratch()->drop();
            File::deleteDirectory($folder);
            @unlink("{$file}.new");
        }
    }

    /**
     * Unpacks a backup and holds it against its manifest, in a database of its own. Nothing that is in use is touched.
     *
     * @return array{folder: string, tables: array<string, array{rows: int, sum: string}>, made: int}
     *
     * @throws RuntimeException when it is no backup, or not whole
     */
    public function check(string $file, string $into = 'restore-check'): array
    {
        is_file($file) ?: throw new RuntimeException("There is no file {$file}.");
        $folder = $this->folder($into);
        try {
            $this->run([
                'tar',
                '--extract',
                '--gzip',
                "--file={$file}",
                "--directory={$folder}",
                '--no-same-owner',
                '--no-same-permissions',
            ]);
            $manifest = json_decode((string) @file_get_contents("{$folder}/".self::MANIFEST), true);
            if (
                ! is_array($manifest) ||
                ($manifest['form'] ?? null) !== self::FORM ||
                ! is_array($manifest['tables'] ?? null)
            ) {
                throw new RuntimeException('This is no backup of Keen Burrow, or one of a later version.');
            }
            if (
                ! is_file("{$folder}/".self::SQL) ||
                hash_file('sha256', "{$folder}/".self::SQL) !== ($manifest['sql_sha256'] ?? '')
            ) {
                throw new RuntimeException(
                    'The backup is damaged: the database in it is not the one that its manifest names.',
                );
            }
            $scratch = Database::live()->scratch();
            $scratch->load("{$folder}/".self::SQL);
            if ($scratch->sums() !== $manifest['tables']) {
                throw new RuntimeException('The backup does not read back as what was written.');
            }

            $made = $manifest['made'] ?? 0;

            return [
                'folder' => $folder,
                'tables' => $manifest['tables'],
                'made' => is_numeric($made) ? (int) $made : 0,
            ];
        } catch (RuntimeException $problem) {
            File::deleteDirectory($folder);

            throw $problem;
        } finally {
            Database::live()->scratch()->drop();
        }
    }

    /**
     * Puts back what check() unpacked. It can be repeated from its beginning when it was cut off.
     *
     * @param  string  $folder  what check() unpacked
     * @return array<string, array{rows: int, sum: string}>
     */
    public function putBack(string $folder): array
    {
        $manifest = json_decode((string) file_get_contents("{$folder}/".self::MANIFEST), true);
        Database::live()->load("{$folder}/".self::SQL);
        $sums = Database::live()->sums();
        if (! is_array($manifest) || $sums !== $manifest['tables']) {
            throw new RuntimeException('What was put back is not what the backup holds.');
        }
        foreach (self::SETTINGS as $name) {
            if (is_file("{$folder}/settings/{$name}")) {
                $this->put("{$this->var}/{$name}", (string) file_get_contents("{$folder}/settings/{$name}"));
            }
        }
        if (is_dir("{$folder}/files")) {
            File::cleanDirectory("{$this->var}/storage/app");
            File::copyDirectory("{$folder}/files", "{$this->var}/storage/app");
        }

        return $sums;
    }

    /**
     * What check() unpacked is moved here before anything is changed, so that a restore that was cut off goes on at
     * the next start.
     */
    public function restoring(): string
    {
        return "{$this->var}/restoring";
    }

    private function collect(string $folder): void
    {
        mkdir("{$folder}/settings", 0700);
        foreach (self::SETTINGS as $name) {
            if (is_file("{$this->var}/{$name}")) {
                $this->put("{$folder}/settings/{$name}", (string) file_get_contents("{$this->var}/{$name}"));
            }
        }
        if (is_dir("{$this->var}/storage/app")) {
            File::copyDirectory("{$this->var}/storage/app", "{$folder}/files") ?:
            throw new RuntimeException('The own files could not be copied. Is the disk full?');
        }
    }

    /** Every file of the folder is in the archive, byte for byte. */
    private function compare(string $archive, string $folder): void
    {
        $this->run(['tar', '--compare', '--gzip', "--file={$archive}", "--directory={$folder}"]);
    }

    private function put(string $file, string $text): void
    {
        if (@file_put_contents("{$file}.new", $text) !== strlen($text)) {
            @unlink("{$file}.new");

            throw new RuntimeException("{$file} could not be written. Is the disk full?");
        }
        rename("{$file}.new", $file);
    }

    private function folder(string $name): string
    {
        $folder = "{$this->var}/tmp/{$name}";
        File::deleteDirectory($folder);
        File::makeDirectory($folder, 0700, true);

        return $folder;
    }

    /** @param  list<string>  $command */
    private function run(array $command): void
    {
        $done = Process::timeout(600)
            ->env(['LC_ALL' => 'C'])
            ->run($command);
        if (! $done->successful()) {
            throw new RuntimeException(
                "{$command[0]}: ".
                    (trim(strtok($done->errorOutput().$done->output(), "\n") ?: '') ?:
                        'it failed without a word'),
            );
        }
    }
}
