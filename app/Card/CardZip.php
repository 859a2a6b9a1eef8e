<?php

declare(strict_types=1);

namespace App\Card;

use Burrow\Card\CardFile;
use RuntimeException;
use ZipArchive;

/** The files of a card as one zip, made in a temporary file that is gone when the request is over. */
final class CardZip
{
    /** @param  list<CardFile>  $files */
    public static function of(array $files): string
    {
        $path = tempnam(sys_get_temp_dir(), 'card') ?: throw new RuntimeException('No temporary file could be made.');
        try {
            $zip = new ZipArchive;
            $zip->open($path, ZipArchive::OVERWRITE);
            foreach ($files as $file) {
                $zip->addFromString($file->name, $file->text());
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            @unlink($path);
        }
    }
}
