<?php

declare(strict_types=1);

namespace App\Filter;

use App\Models\FilterList;
use Generator;

/** Where the lists of names, the log and what was worked out of them lie. */
final readonly class Folder
{
    /** Bytes of a line that are read. */
    private const LINE = 8192;

    private function __construct(private string $path)
    {
    }

    public static function here(): self
    {
        $path = storage_path('app/filter');
        is_dir($path) || @mkdir($path, 0700, true);

        return new self($path);
    }

    public function list(FilterList $list): string
    {
        return "{$this->path}/list-{$list->id}";
    }

    /** Bytes of all lists but one. */
    public function listBytes(FilterList $but): int
    {
        $bytes = 0;
        foreach (glob("{$this->path}/list-*") ?: [] as $file) {
            $bytes += $file === $this->list($but) ? 0 : (int) filesize($file);
        }

        return $bytes;
    }

    public function log(): string
    {
        return "{$this->path}/log";
    }

    /** @return ?array<string, mixed> what was worked out last; null when nothing was */
    public function result(): ?array
    {
        $file = "{$this->path}/result.json";
        $told = is_file($file) ? json_decode((string) file_get_contents($file), true) : null;

        return is_array($told) && self::isWhole($told) ? $told : null;
    }

    /**
     * It holds all that the page draws.
     *
     * @param  array<mixed>  $told
     *
     * @phpstan-assert-if-true array<string, mixed> $told
     */
    private static function isWhole(array $told): bool
    {
        $each = function (string $part, array $fields) use ($told): bool {
            foreach (is_array($told[$part] ?? null) ? $told[$part] : [null] as $one) {
                foreach ($fields as $field => $is) {
                    if (! is_array($one) || ! $is($one[$field] ?? null)) {
                        return false;
                    }
                }
            }

            return true;
        };
        $number = fn (mixed $kept): bool => is_int($kept) || is_float($kept);

        return $number($told['queries'] ?? null) &&
            $number($told['refused'] ?? null) &&
            $number($told['share'] ?? null) &&
            is_array($told['smallest'] ?? null) &&
            array_filter($told['smallest'], is_string(...)) === $told['smallest'] &&
            $each('hours', ['hour' => is_int(...), 'total' => is_int(...), 'refused' => is_int(...)]) &&
            $each('breaks', ['name' => is_string(...), 'times' => is_int(...), 'lists' => is_array(...)]) &&
            $each('order', [
                'name' => is_string(...),
                'names' => is_int(...),
                'invalid' => is_int(...),
                'alone' => $number,
                'adds' => $number,
                'sum' => $number,
            ]);
    }

    /** @param  array<string, mixed>  $told */
    public function keep(array $told): void
    {
        $file = "{$this->path}/result.json";
        $text = json_encode($told, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
        if (@file_put_contents("{$file}.part", $text) === strlen($text)) {
            rename("{$file}.part", $file);
        }
    }

    public function forget(): void
    {
        @unlink("{$this->path}/result.json");
    }

    /** @return Generator<int, string> line by line, so that a file of any size takes no memory */
    public static function lines(string $file): Generator
    {
        $stream = is_file($file) ? @fopen($file, 'rb') : false;
        for ($number = 1; $stream !== false && ($line = fgets($stream, self::LINE)) !== false; $number++) {
            yield $number => rtrim($line, "\r\n");
        }
        $stream === false || fclose($stream);
    }
}
