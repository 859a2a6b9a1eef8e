<?php

declare(strict_types=1);

namespace Bench;

use RuntimeException;
use Throwable;

/** The file that the bench keeps itself in. It is replaced only when the new one is whole. */
final readonly class State
{
    public function __construct(private string $file)
    {
    }

    /**
     * What was kept; one that cannot be read is set aside with a word, so that the bench never fails to begin.
     *
     * @param  callable(array<string, mixed>): void  $load  may throw
     * @return bool false when it began to load and could not go on
     */
    public function wakeUp(callable $load): bool
    {
        if (! is_file($this->file)) {
            return true;
        }
        try {
            $state = json_decode((string) file_get_contents($this->file), true, 64, JSON_THROW_ON_ERROR);
            $load(self::named(is_array($state) ? $state : throw new RuntimeException('it is no object')));

            return true;
        } catch (Throwable $problem) {
            $aside = $this->file.'.set-aside';
            @rename($this->file, $aside);
            fwrite(
                STDERR,
                "bench: its kept state could not be read ({$problem->getMessage()}); ".
                    "it lies in {$aside} now, and the bench is empty.\n",
            );

            return false;
        }
    }

    /** @param  array<string, mixed>  $state */
    public function save(array $state): void
    {
        $text = json_encode(
            $state,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
        );
        $temporary = $this->file.'.new';
        // Renamed only when whole: on a full disk the state from before stays.
        if (is_string($text) && @file_put_contents($temporary, $text) === strlen($text)) {
            chmod($temporary, 0600);
            rename($temporary, $this->file);
        } else {
            @unlink($temporary);
            fwrite(STDERR, "bench: its state could not be written; the one from before is kept.\n");
        }
    }

    /**
     * @param  array<mixed>  $map
     * @return array<string, mixed>
     */
    public static function named(array $map): array
    {
        return array_combine(array_map(strval(...), array_keys($map)), array_values($map));
    }
}
