<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Intake\Intake;
use Illuminate\Console\Command;

final class ReadCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:read {kind? : which tool printed it} {file=- : a file, or - for standard input} {--json : as JSON, which it always is}';

    protected $description = 'What a tool printed, as facts and findings in JSON';

    public function handle(Intake $intake): int
    {
        $kind = (string) $this->argument('kind');
        if (! $intake->knows($kind)) {
            $this->error($kind === '' ? 'Which kind of text is it?' : "There is no reader for “{$kind}”.");
            foreach ($intake->kinds() as $known => $summary) {
                $this->line(sprintf('  %-10s %s', $known, $summary));
            }

            return 2;
        }
        $text = $this->textOf((string) $this->argument('file'));
        if ($text === null) {
            return 2;
        }
        $reading = $intake->read($kind, $text);

        return $this->json($reading, $reading->findings->blocks() ? 1 : 0);
    }
}
