<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Illuminate\Console\Command;

final class LintCommand extends Command
{
    use TellsFindings;

    private const LARGEST = 1024 * 1024;

    protected $signature = 'burrow:lint {dir : the folder of a card\'s boot partition} {--json : everything as JSON}';

    protected $description = 'Looks over a card\'s first-boot files';

    public function handle(): int
    {
        $dir = rtrim((string) $this->argument('dir'), '/');
        if (! is_dir($dir)) {
            $this->error("There is no folder {$dir}.");

            return 2;
        }
        $files = [];
        foreach (scandir($dir) ?: [] as $name) {
            // Kernels and firmware lie beside the settings; they are not text and not looked at.
            if (is_file("{$dir}/{$name}") && filesize("{$dir}/{$name}") < self::LARGEST) {
                $files[$name] = (string) file_get_contents("{$dir}/{$name}");
            }
        }
        $findings = (new Linter)->lint(new CardFolder($files));

        return $this->option('json') ? $this->json($findings, $findings->blocks() ? 1 : 0) : $this->tell($findings);
    }
}
