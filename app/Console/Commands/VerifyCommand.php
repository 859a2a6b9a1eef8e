<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Card\Target\Checksum;
use Illuminate\Console\Command;

final class VerifyCommand extends Command
{
    use TellsFindings;

    private const CHUNK = 4 * 1024 * 1024;

    protected $signature = 'burrow:verify {file : an image as it was downloaded} {sha256 : the checksum that its author published, or a text that holds it}';

    protected $description = 'Is this file the one that was published?';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $handle = is_file($file) ? fopen($file, 'rb') : false;
        if ($handle === false) {
            $this->error("There is no file {$file}.");

            return 2;
        }
        $hash = hash_init('sha256');
        $bar = $this->output->createProgressBar((int) ceil(max(1, filesize($file)) / self::CHUNK));
        $bar->setFormat(' %bar% %percent:3s% %  %remaining:-6s% left');
        while (! feof($handle)) {
            hash_update($hash, (string) fread($handle, self::CHUNK));
            $bar->advance();
        }
        fclose($handle);
        $bar->finish();
        $this->newLine();

        return $this->tell(Checksum::compare((string) $this->argument('sha256'), hash_final($hash)));
    }
}
