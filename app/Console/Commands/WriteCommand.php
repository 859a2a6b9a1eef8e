<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Files\FileKinds;
use Burrow\Files\FileKind;
use Illuminate\Console\Command;

final class WriteCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:write {kind? : which file} {file=- : its values as YAML or JSON, or - for standard input} {--json : text and findings as JSON}';

    protected $description = 'A file from typed values; without a kind, the kinds and their schemas';

    public function handle(): int
    {
        $kinds = FileKinds::all();
        $name = $this->argument('kind');
        $kind = is_string($name) ? $kinds[$name] ?? null : null;
        if ($kind === null) {
            is_string($name) && $this->error("There is no writer for “{$name}”.");
            foreach ($kinds as $known => $one) {
                $this->line(sprintf('  %-14s %s  (%s)', $known, $one->summary(), $one->schema()));
            }

            return is_string($name) ? 2 : 0;
        }

        return $this->one($kind, (string) $this->argument('file'));
    }

    private function one(FileKind $kind, string $file): int
    {
        $values = $this->textOf($file);
        if ($values === null) {
            return 2;
        }
        $schema = (string) file_get_contents(base_path($kind->schema()));
        $written = $kind->write($values, $schema, basename($file));
        $exit = $written->findings->blocks() ? 1 : 0;
        if ($this->option('json')) {
            return $this->json($written, $exit);
        }
        // The file alone on standard output; what there is to say of it beside.
        if ($written->text !== null) {
            $this->output->write($written->text);
        }
        foreach ($written->findings as $finding) {
            fwrite(
                STDERR,
                "{$finding->severity->value} {$finding->code} {$finding->place} {$finding->found} {$finding->do}\n",
            );
        }

        return $exit;
    }
}
