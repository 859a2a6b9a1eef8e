<?php

declare(strict_types=1);

namespace App\Catalogue;

use Closure;
use RuntimeException;
use Symfony\Component\Yaml\Yaml;

/** What takes long to read or work out and seldom changes, kept as PHP that the opcode cache holds ready. */
final class Kept
{
    /**
     * Files of the application parsed once and kept, as PHP, which the opcode cache holds ready. For the pages of a
     * running copy they change only when it is brought up, which empties what is kept; the terminal looks at them each
     * time.
     *
     * @param  Closure(): list<string>  $list  the files
     * @return array<string, array<string, mixed>> by file
     */
    public static function files(string $what, Closure $list): array
    {
        $files = app()->configurationIsCached() && ! app()->runningInConsole() ? null : $list();
        $state =
            $files === null
                ? 'as brought up'
                : implode(' ', array_map(fn (string $file): string => $file.filemtime($file), $files));

        /** @var array<string, array<string, mixed>> */
        return self::made($what, $state, function () use ($files, $list): array {
            $files ??= $list();

            return array_map(
                fn (string $file): mixed => Yaml::parse(
                    file_get_contents($file) ?: throw new RuntimeException("Cannot read {$file}."),
                ),
                array_combine($files, $files),
            );
        });
    }

    /**
     * What takes long to work out, kept as PHP until its state is another one.
     *
     * @param  callable(): array<mixed>  $make
     * @return array<mixed>
     */
    public static function made(string $what, string $state, callable $make): array
    {
        $kept = storage_path("framework/cache/{$what}-".md5($state).'.php');
        $data = is_file($kept) ? require $kept : null;
        if (is_array($data)) {
            return $data;
        }
        $data = $make();
        array_map(
            fn (string $old): bool => @unlink($old),
            glob(storage_path("framework/cache/{$what}-*.php")) ?: [],
        );
        // Whole or not at all: another request may be reading, and the disk may be full.
        $new = $kept.'.'.bin2hex(random_bytes(4));
        $code = '<?php return '.var_export($data, true).';';
        if (@file_put_contents($new, $code) === strlen($code)) {
            rename($new, $kept);
        } else {
            @unlink($new);
        }

        return $data;
    }
}
