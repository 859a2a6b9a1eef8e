<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use RuntimeException;
use stdClass;

/** The database as its own tools write it out and read it back. */
final readonly class Database
{
    private const SCRATCH = '_check';

    public function __construct(public string $name)
    {
    }

    public static function live(): self
    {
        return new self(config()->string('database.connections.mariadb.database'));
    }

    /** Where a dump is read back to be compared, beside the one in use. */
    public function scratch(): self
    {
        return new self($this->name.self::SCRATCH);
    }

    public function dump(string $file): void
    {
        $this->tool([
            'mariadb-dump',
            '--no-defaults',
            ...$this->connection(),
            '--single-transaction',
            '--quick',
            '--skip-dump-date',
            '--skip-comments',
            '--default-character-set=utf8mb4',
            "--result-file={$file}",
            $this->name,
        ]);
        if (
            ! str_ends_with(
                rtrim((string) file_get_contents($file, offset: max(0, (int) filesize($file) - 4096))),
                ';',
            )
        ) {
            throw new RuntimeException('The dump ends in the middle of a line. Is the disk full?');
        }
    }

    /**
     * Empties this database and fills it from a dump. The client runs nothing but statements (its sandbox), and only
     * those of a dump of ours; a scratch database is filled by an account that may see no other.
     *
     * @throws RuntimeException when the text holds anything else; nothing was run then
     */
    public function load(string $file): void
    {
        DumpText::look($file);
        $this->drop();
        self::server()->statement(
            "CREATE DATABASE `{$this->name}` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci",
        );
        $in = fopen($file, 'r') ?: throw new RuntimeException("{$file} cannot be read.");
        $this->tool(
            [
                'mariadb',
                '--no-defaults',
                ...$this->connection(),
                '--sandbox',
                '--default-character-set=utf8mb4',
                $this->name,
            ],
            $in,
        );
        // The connection may have lost the database it stood in.
        DB::purge();
    }

    public function drop(): void
    {
        self::server()->statement("DROP DATABASE IF EXISTS `{$this->name}`");
    }

    /** A connection that stands in no database: the one in use may be gone, when a restore was cut off. */
    private static function server(): ConnectionInterface
    {
        /** @var array<string, mixed> $settings */
        $settings = config()->array('database.connections.mariadb');

        return DB::build(['name' => 'server', 'database' => '', ...array_diff_key($settings, ['database' => 1])]);
    }

    /**
     * Rows of each table and a sum over all their values, independent of the order and of the server's version.
     *
     * @return array<string, array{rows: int, sum: string}> by table
     */
    public function sums(): array
    {
        $sums = [];
        /** @var list<object{t: string, c: string}> $columns */
        $columns = DB::select(
            'SELECT TABLE_NAME AS t, COLUMN_NAME AS c FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = ? ORDER BY TABLE_NAME, ORDINAL_POSITION',
            [$this->name],
        );
        foreach (collect($columns)->groupBy('t') as $table => $of) {
            $values = implode(
                ', ',
                $of->map(fn (object $one): string => "IFNULL(HEX(`{$one->c}`), 'N')")->all(),
            );
            /** @var stdClass $row */
            $row = DB::selectOne(
                "SELECT COUNT(*) AS n, CONCAT(COALESCE(BIT_XOR(CAST(CONV(LEFT(MD5(CONCAT_WS('|', {$values})), 16), 16, 10) AS UNSIGNED)), 0), ':',
                COALESCE(BIT_XOR(CAST(CONV(RIGHT(MD5(CONCAT_WS('|', {$values})), 16), 16, 10) AS UNSIGNED)), 0)) AS s FROM `{$this->name}`.`{$table}`",
            );
            $sums[(string) $table] = ['rows' => (int) $row->n, 'sum' => (string) $row->s];
        }

        return $sums;
    }

    private function isScratch(): bool
    {
        return str_ends_with($this->name, self::SCRATCH);
    }

    /** @return list<string> */
    private function connection(): array
    {
        return [
            '--socket='.config()->string('database.connections.mariadb.unix_socket'),
            '--user='.
            config()->string('database.connections.mariadb.username').
            ($this->isScratch() ? self::SCRATCH : ''),
        ];
    }

    /**
     * @param  list<string>  $command
     * @param  ?resource  $input
     */
    private function tool(array $command, mixed $input = null): void
    {
        $password = $this->isScratch() ? 'burrow.check_password' : 'database.connections.mariadb.password';
        $done = Process::timeout(600)
            ->env(['MYSQL_PWD' => config()->string($password)])
            ->input($input)
            ->run($command);
        if (! $done->successful()) {
            throw new RuntimeException(
                "{$command[0]}: ".(trim($done->errorOutput()) ?: 'it failed without a word'),
            );
        }
    }
}
