<?php

declare(strict_types=1);

namespace App\Backup;

use FilesystemIterator;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RuntimeException;
use SplFileInfo;

/**
 * The whole household in one file: a gzipped tar with the database as SQL, the settings of this copy, the files of its
 * own, and a manifest with a sum over each table. Nothing in it is a secret but the hashes of passwords.
 */
final readonly class Archive
{
    public const MANIFEST = 'manifest.json';

    public const SQL = 'database.sql';

    private const FORM = 1;

    /** Settings of a copy that go along, each a file of one line, and what such a line may be. */
    private const SETTINGS = [
        'demo' => '/^(?:true|false)$/D',
        'hosts' => '/^[A-Za-z0-9.,: _-]{0,1000}$/D',
        'proxy' => '~^[0-9A-Fa-f.:/, ]{0,200}$~D',
    ];

    /** Secrets of a copy lie here no more; a backup of before may have them, and nobody gets them back. */
    private const NEVER = ['report-key'];

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
                '--preserve-permissions',
            ]);
            self::isPlain($folder);
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
        foreach (array_keys(self::SETTINGS) as $name) {
            if (is_file("{$folder}/settings/{$name}")) {
                $this->put("{$this->var}/{$name}", (string) file_get_contents("{$folder}/settings/{$name}"));
            }
        }
        if (is_dir("{$folder}/files")) {
            array_map(fn (string $name): bool => @unlink("{$folder}/files/{$name}"), self::NEVER);
            File::cleanDirectory("{$this->var}/storage/app");
            $this->copy("{$folder}/files", "{$this->var}/storage/app");
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
        foreach (array_keys(self::SETTINGS) as $name) {
            if (is_file("{$this->var}/{$name}")) {
                $this->put("{$folder}/settings/{$name}", (string) file_get_contents("{$this->var}/{$name}"));
            }
        }
        if (is_dir("{$this->var}/storage/app")) {
            mkdir("{$folder}/files", 0700);
            $this->copy("{$this->var}/storage/app", "{$folder}/files");
            array_map(fn (string $name): bool => @unlink("{$folder}/files/{$name}"), self::NEVER);
        }
    }

    /** What lies in one folder into another that is there, with its modes. */
    private function copy(string $from, string $to): void
    {
        $this->run(['cp', '--recursive', '--preserve=mode,timestamps', '--no-dereference', "{$from}/.", $to]);
    }

    /**
     * Files and folders with modes that harm nobody, and settings that are settings. A hand-made archive may hold
     * links that lead elsewhere, devices, and lines that would be read as more than one.
     *
     * @throws RuntimeException
     */
    private static function isPlain(string $folder): void
    {
        $all = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
            RecursiveIteratorIterator::SELF_FIRST,
        );
        /** @var SplFileInfo $one */
        foreach ($all as $one) {
            if ($one->isLink() || ! ($one->isDir() || $one->isFile())) {
                throw new RuntimeException(
                    'It holds something that is neither a file nor a folder, as no backup of Keen Burrow does.',
                );
            }
            chmod($one->getPathname(), ($one->getPerms() & 0700) | ($one->isDir() ? 0700 : 0600));
        }
        foreach (self::SETTINGS as $name => $form) {
            $file = "{$folder}/settings/{$name}";
            if (is_file($file) && preg_match($form, (string) file_get_contents($file)) !== 1) {
                throw new RuntimeException("Its setting “{$name}” is nothing that such a setting can be.");
            }
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
