<?php

declare(strict_types=1);

namespace App\Card;

use Burrow\Card\CardFolder;
use RuntimeException;
use ZipArchive;

/** The files of a card as one zip, made and read in a temporary file that is gone when the request is over. */
final class CardZip
{
    /** Settings are small; kernels and firmware that lie beside them are not looked at. */
    public const LARGEST = 256 * 1024;

    private const MOST = 400;

    /** Unpacked, all of them: a zip of zeros is small only as long as it is packed. */
    private const LARGEST_TOGETHER = 2 * 1024 * 1024;

    /** Empty where there is nothing to pack: a sheet to type from has no files. */
    public static function of(CardFolder $folder): string
    {
        if ($folder->files === []) {
            return '';
        }

        return self::inTemporaryFile(function (string $path) use ($folder): string {
            $zip = new ZipArchive();
            $zip->open($path, ZipArchive::OVERWRITE);
            foreach ($folder->files as $name => $text) {
                $zip->addFromString((string) $name, $text);
            }
            $zip->close();

            return (string) file_get_contents($path);
        });
    }

    /** @param  array<string, CardFolder>  $folders  a folder for each card */
    public static function ofFolders(array $folders): string
    {
        $files = [];
        foreach ($folders as $folder => $card) {
            foreach ($card->files as $name => $text) {
                $files["{$folder}/{$name}"] = $text;
            }
        }

        return self::of(new CardFolder($files));
    }

    /** The small files at the top of a zip, or in the one folder that it holds; null when it is no zip. */
    public static function read(string $bytes): ?CardFolder
    {
        return self::inTemporaryFile(function (string $path) use ($bytes): ?CardFolder {
            file_put_contents($path, $bytes);
            $zip = new ZipArchive();
            if ($zip->open($path, ZipArchive::RDONLY) !== true) {
                return null;
            }
            $files = [];
            $left = self::LARGEST_TOGETHER;
            for ($at = 0; $at < min($zip->numFiles, self::MOST); $at++) {
                $stat = $zip->statIndex($at);
                if (
                    $stat === false ||
                    str_ends_with($stat['name'], '/') ||
                    $stat['size'] > min(self::LARGEST, $left) ||
                    substr_count($stat['name'], '/') > 1
                ) {
                    continue;
                }
                // A name is a name here and never a path.
                $text = (string) $zip->getFromIndex($at, min(self::LARGEST, $left));
                $left -= strlen($text);
                $files[basename(str_replace('\\', '/', $stat['name']))] = $text;
            }
            $zip->close();

            return new CardFolder($files);
        });
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $work
     * @return T
     */
    private static function inTemporaryFile(callable $work): mixed
    {
        $path =
            tempnam(sys_get_temp_dir(), 'card') ?:
            throw new RuntimeException('No temporary file could be made.');
        try {
            return $work($path);
        } finally {
            @unlink($path);
        }
    }
}
