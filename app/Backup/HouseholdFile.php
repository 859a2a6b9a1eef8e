<?php

declare(strict_types=1);

namespace App\Backup;

use App\Household\RecordStamp;
use Burrow\Text\JsonLines;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use RuntimeException;
use stdClass;

/**
 * The household as one documented JSON file, under core/Household/schema/household.schema.json: everything that is in
 * the record, one row a line. Logins and their passwords are not in it; they stay with the copy that has them.
 */
final readonly class HouseholdFile
{
    public const FORMAT = 'keen-burrow household';

    public const VERSION = 1;

    public const SCHEMA = 'core/Household/schema/household.schema.json';

    /** Bytes of a file that is taken in. */
    private const MOST = 128 * 1024 * 1024;

    /** What goes into files of boxes and the house as it is: hosts, zones, settings of ssh, lists, shares. */
    private const IN_FILES = [
        'boxes' => ['name', 'user', 'address', 'mac'],
        'networks' => ['domain', 'router', 'prefix', 'outside_name'],
        'filter_exceptions' => ['name'],
        'name_checks' => ['name'],
        'openings' => ['protocol'],
        'services' => ['protocol', 'scheme'],
        'stores' => ['mount_point', 'share'],
        'backups' => ['name', 'target_host', 'target_account', 'target_folder'],
        'ways_in' => ['public_key', 'address'],
    ];

    /** Things that are told of one file. */
    private const TOLD = 10;

    /** In an order in which each table comes after those that it points to. */
    public const TABLES = [
        'networks',
        'catalogue_entries',
        'desk_computers',
        'drawer_parts',
        'plans',
        'filter_lists',
        'filter_exceptions',
        'image_records',
        'hours',
        'boxes',
        'box_jobs',
        'box_dependencies',
        'services',
        'certificates',
        'openings',
        'past_openings',
        'ways_in',
        'outside_trials',
        'listings',
        'tellings',
        'reports',
        'stores',
        'media',
        'fill_samples',
        'condition_samples',
        'health_samples',
        'backups',
        'restore_drills',
        'folder_pairs',
        'name_checks',
        'rollouts',
        'measurements',
        'decisions',
        'identities',
        'sightings',
        'runs',
        'run_steps',
        'step_doubts',
        'diagnoses',
        'rehearsals',
        'journal_entries',
    ];

    /** @return iterable<string> the text, piece by piece */
    public static function pieces(int $now): iterable
    {
        yield "{\n\"format\": ".
            self::json(self::FORMAT).
            ",\n\"version\": ".
            self::VERSION.
            ",\n\"made\": {$now},\n\"tables\": {";
        foreach (self::TABLES as $i => $table) {
            yield ($i === 0 ? "\n" : ",\n").self::json($table).': [';
            $kinds = self::kinds($table);
            $first = true;
            foreach (DB::table($table)->orderBy('id')->lazy(1000) as $row) {
                $out = [];
                foreach ($kinds as $column => $kind) {
                    $out[$column] = self::out($row->{$column} ?? null, $kind);
                }
                yield ($first ? "\n" : ",\n").self::json($out);
                $first = false;
            }
            yield $first ? ']' : "\n]";
        }
        yield "\n}\n}\n";
    }

    /**
     * Puts a file in place of what is there, whole or not at all.
     *
     * @param  bool  $only  looks the file over and changes nothing
     * @return array<string, int> rows by table
     *
     * @throws RuntimeException with what is wrong, each in a line of its own that begins with the line of the file
     */
    public static function take(string $file, bool $only = false): array
    {
        $size = is_file($file) ? (int) filesize($file) : -1;
        if ($size < 0 || $size > self::MOST) {
            throw new RuntimeException(
                $size < 0
                    ? "There is no file {$file}."
                    : 'It is larger than '.(self::MOST >> 20).' MiB; no household is.',
            );
        }
        $text = (string) file_get_contents($file);
        $lines = new JsonLines($text);
        $data = json_decode($text, false, 64);
        if (! ($data instanceof stdClass)) {
            throw new RuntimeException(
                'line '.($lines->trouble() ?? 1).': This is no JSON, or it is cut off here.',
            );
        }
        self::check($data, $lines);
        $tables = ($data->tables ?? null) instanceof stdClass ? get_object_vars($data->tables) : [];

        self::look($tables, $lines);

        return $only
            ? array_map(fn (mixed $rows): int => is_array($rows) ? count($rows) : 0, $tables)
            : self::put($tables, $lines);
    }

    /** @throws RuntimeException */
    private static function check(stdClass $data, JsonLines $lines): void
    {
        if (($data->format ?? null) !== self::FORMAT) {
            throw new RuntimeException(
                'line '.
                    $lines->locate(['format']).
                    ': This is no household: its “format” says something else.',
            );
        }
        $version = $data->version ?? null;
        if (! is_int($version) || $version > self::VERSION || $version < 1) {
            throw new RuntimeException(
                'line '.
                    $lines->locate(['version']).
                    ': It is of a form that this release does not know; a newer one may.',
            );
        }
        $validator = new Validator();
        $validator->setMaxErrors(self::TOLD);
        $error = $validator->validate($data, (string) file_get_contents(base_path(self::SCHEMA)))->error();
        if ($error === null) {
            return;
        }
        $told = self::told($error, $lines);
        throw new RuntimeException(implode("\n", array_slice(array_unique($told), 0, self::TOLD)));
    }

    /**
     * @param  array<string, mixed>  $tables
     *
     * @throws RuntimeException for a line break where it would be a line of its own in files made from it
     */
    private static function look(array $tables, JsonLines $lines): void
    {
        foreach (self::IN_FILES as $table => $columns) {
            foreach (is_array($tables[$table] ?? null) ? array_values($tables[$table]) : [] as $at => $row) {
                $broken = self::broken($row, $columns);
                if ($broken !== null) {
                    throw new RuntimeException(
                        'line '.
                            $lines->locate(['tables', $table, $at]).
                            ": {$table}: {$broken} holds a line break or another control character.",
                    );
                }
            }
        }
    }

    /** @return list<string> */
    private static function told(ValidationError $error, JsonLines $lines): array
    {
        $below = $error->subErrors();
        if ($below !== []) {
            return array_merge(
                ...array_map(
                    fn (ValidationError $one): array => self::told($one, $lines),
                    array_slice(array_values($below), 0, self::TOLD),
                ),
            );
        }
        $path = array_values($error->data()->fullPath());
        $at = implode('.', array_slice($path, 1));
        $says = (new ErrorFormatter())->formatErrorMessage($error);

        return ['line '.$lines->locate($path).': '.($at === '' ? '' : "{$at}: ")."{$says}."];
    }

    /**
     * @param  array<string, mixed>  $tables
     * @return array<string, int>
     *
     * @throws RuntimeException
     */
    private static function put(array $tables, JsonLines $lines): array
    {
        return DB::transaction(function () use ($tables, $lines): array {
            foreach (array_reverse(self::TABLES) as $table) {
                DB::table($table)->delete();
            }
            $counts = [];
            foreach (self::TABLES as $table) {
                $kinds = self::kinds($table);
                $rows = is_array($tables[$table] ?? null) ? array_values($tables[$table]) : [];
                foreach (array_chunk($rows, 200, true) as $some) {
                    $in = array_map(fn (mixed $row): array => self::row($row, $kinds), $some);
                    self::insert($table, $in, $lines);
                }
                $counts[$table] = count($rows);
            }
            app(RecordStamp::class)->change();

            return $counts;
        });
    }

    /**
     * All at once; where the database does not take them, one by one, so that it can be said which row it is.
     *
     * @param  array<int, array<string, mixed>>  $rows  by their place in the file
     *
     * @throws RuntimeException
     */
    private static function insert(string $table, array $rows, JsonLines $lines): void
    {
        $alike = count(
            array_unique(array_map(fn (array $row): string => implode(' ', array_keys($row)), $rows)),
        );
        if ($alike === 1) {
            try {
                DB::table($table)->insert(array_values($rows));

                return;
            } catch (QueryException) {
                // Which one it is comes out below.
            }
        }
        foreach ($rows as $at => $row) {
            try {
                DB::table($table)->insert($row);
            } catch (QueryException $problem) {
                $code = is_array($problem->errorInfo) ? (int) ($problem->errorInfo[1] ?? 0) : 0;
                $why = match ($code) {
                    1452 => 'it points to something that is not in the file',
                    1062 => 'there is another one like it, and there can be one only',
                    default => 'the database does not take it',
                };
                throw new RuntimeException(
                    'line '.$lines->locate(['tables', $table, $at]).": {$table}: {$why}.",
                );
            }
        }
    }

    /**
     * @param  array<string, string>  $kinds
     * @return array<string, mixed>
     */
    private static function row(mixed $row, array $kinds): array
    {
        $in = [];
        foreach ($kinds as $column => $kind) {
            // What a file of before does not have is as it is when nobody said.
            if ($row instanceof stdClass && property_exists($row, $column)) {
                $in[$column] = self::in($row->{$column}, $kind);
            }
        }

        return $in;
    }

    /**
     * The column of a row whose text is not of one line: the rest would be a line of its own in files made from it.
     *
     * @param  list<string>  $columns
     */
    private static function broken(mixed $row, array $columns): ?string
    {
        $values = $row instanceof stdClass ? get_object_vars($row) : [];
        foreach (array_intersect_key($values, array_flip($columns)) as $column => $value) {
            if (is_string($value) && preg_match('/[\x00-\x1f\x7f]|\x{2028}|\x{2029}/u', $value) === 1) {
                return $column;
            }
        }

        return null;
    }

    /** @return array<string, string> column => "time", "json", "yes" or "plain" */
    private static function kinds(string $table): array
    {
        $kinds = [];
        foreach (Schema::getColumns($table) as $column) {
            $kinds[$column['name']] = match (true) {
                in_array($column['type_name'], ['timestamp', 'datetime'], true) => 'time',
                $column['type_name'] === 'longtext' => 'json',
                $column['type'] === 'tinyint(1)' => 'yes',
                default => 'plain',
            };
        }

        return $kinds;
    }

    private static function out(mixed $value, string $kind): mixed
    {
        return match (true) {
            $value === null => null,
            $kind === 'time' && is_string($value) => self::seconds($value),
            $kind === 'json' && is_string($value) => json_decode($value, false, 64) ??
                // What is damaged stays the text that it is.
                ($value === 'null' ? null : $value),
            $kind === 'yes' => (bool) $value,
            default => $value,
        };
    }

    private static function in(mixed $value, string $kind): mixed
    {
        return match (true) {
            $value === null => null,
            $kind === 'time' && (is_int($value) || is_float($value)) => gmdate(
                'Y-m-d H:i:s',
                (int) floor($value),
            ).substr(sprintf('%.3F', $value - floor($value)), 1),
            $kind === 'json' => self::json($value),
            $kind === 'yes' => (int) (bool) $value,
            default => $value,
        };
    }

    /** The database keeps UTC. */
    private static function seconds(string $kept): int|float
    {
        $whole = (int) strtotime(substr($kept, 0, 19).' UTC');
        $part = (float) ('0'.substr($kept, 19));

        return $part === 0.0 ? $whole : round($whole + $part, 3);
    }

    private static function json(mixed $value): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR |
                JSON_INVALID_UTF8_SUBSTITUTE |
                JSON_UNESCAPED_UNICODE |
                JSON_UNESCAPED_SLASHES |
                JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
