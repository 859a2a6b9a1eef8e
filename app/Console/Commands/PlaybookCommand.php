<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use Burrow\BringUp\Paper\Markdown;
use Burrow\BringUp\Paper\ShellScript;
use Burrow\BringUp\Playbook\FilledPlaybook;
use Burrow\BringUp\Playbook\FilledStep;
use Burrow\Text\YamlEntry;
use Illuminate\Console\Command;

final class PlaybookCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:playbook {jobs : ids of jobs, joined by commas} {--school= : way of setting up}
        {--box= : what is known of the box, as YAML} {--json} {--markdown} {--script}';

    protected $description = 'The steps of a job, with a box\'s values filled in.';

    public function handle(Catalogue $catalogue, Playbooks $playbooks): int
    {
        $box = [];
        $file = $this->option('box');
        if (is_string($file)) {
            $yaml = $this->textOf($file);
            $entry = $yaml === null ? null : YamlEntry::read($yaml, Catalogue::schema('box'), basename($file));
            if ($entry === null || $entry->data === null) {
                return $entry === null ? 2 : $this->tell($entry->findings);
            }
            $box = $entry->data;
        }
        $jobs = $books = [];
        foreach (array_unique(explode(',', (string) $this->argument('jobs'))) as $id) {
            $job = $catalogue->job($id);
            if ($job === null) {
                return $this->wrong(
                    "There is no job “{$id}”. There are ".
                        implode(', ', array_keys($catalogue->shelf()->jobs)).
                        '.',
                );
            }
            $school = $this->option('school');
            $schools = $playbooks->schools($id);
            // With several jobs a school is that of those which have it.
            $chosen =
                is_string($school) && (in_array($school, $schools, true) || count($schools) === 0) ? $school : null;
            if (is_string($school) && $chosen === null && ! str_contains((string) $this->argument('jobs'), ',')) {
                return $this->wrong(
                    "“{$id}” has no playbook for “{$school}”. It has ".implode(', ', $schools).'.',
                );
            }
            $book = $playbooks->of($id, $chosen);
            if ($book === null) {
                return $this->wrong("“{$id}” has no playbook yet.");
            }
            $jobs[] = $job;
            $books[] = $book;
        }
        $filled = FilledPlaybook::of($jobs, $books, $box);
        if ($this->option('json')) {
            return $this->json($filled, 0);
        }
        if ($this->option('markdown') || $this->option('script')) {
            $this->output->write(
                (string) ($this->option('script') ? new ShellScript($filled) : new Markdown($filled)),
            );

            return 0;
        }
        $this->line("{$filled->title()} ({$this->schools($filled)})");
        foreach ($filled->steps as $number => $step) {
            $this->told($number + 1, $step);
        }

        return 0;
    }

    private function schools(FilledPlaybook $filled): string
    {
        return implode(', ', $filled->schools);
    }

    private function told(int $number, FilledStep $step): void
    {
        $this->line('');
        $this->line("{$number}. {$step->told($step->step->title)} [{$step->step->place()->label()}]");
        $this->line("   {$step->told($step->step->text)}");
        foreach ($step->commandAsFarAsKnown() === '' ? [] : explode("\n", $step->commandAsFarAsKnown()) as $line) {
            $this->line("     {$line}");
        }
        if ($step->step->expect !== '') {
            $this->line("   You should see {$step->told($step->step->expect)}");
        }
    }
}
