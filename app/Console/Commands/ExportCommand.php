<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\HouseholdFile;
use Illuminate\Console\Command;

/** Writes the household as one JSON file, whole or not at all. */
final class ExportCommand extends Command
{
    protected $signature = 'burrow:export {file : where to; - for the terminal}';

    protected $description = 'Writes the household as one JSON file';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        if ($file !== '-' && ! is_dir(dirname($file))) {
            fwrite(STDERR, 'There is no folder '.dirname($file).".\n");

            return 2;
        }
        $temporary = "{$file}.part";
        $out = $file === '-' ? STDOUT : @fopen($temporary, 'w');
        if ($out === false) {
            fwrite(STDERR, "It cannot be written to {$file}.\n");

            return 2;
        }
        $bytes = 0;
        foreach (HouseholdFile::pieces(now()->getTimestamp()) as $piece) {
            if (@fwrite($out, $piece) !== strlen($piece)) {
                fwrite(STDERR, "It could not be written whole; is the disk full?\n");
                $file === '-' || @unlink($temporary);

                return 1;
            }
            $bytes += strlen($piece);
        }
        if ($file !== '-') {
            fclose($out);
            rename($temporary, $file);
            $this->line("{$file}: the household without its logins, {$bytes} bytes.");
        }

        return 0;
    }
}
