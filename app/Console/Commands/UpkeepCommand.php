<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\Upkeep\Plan\UpkeepFile;
use Illuminate\Console\Command;

final class UpkeepCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:upkeep {file : boxes with what is due and when it may be done, as YAML or JSON} {--json : everything as JSON}';

    protected $description = 'What is due, in an order with times; what does not fit, and why';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        [$plan, $findings] = UpkeepFile::read($text, Catalogue::schema('upkeep'), basename($file));
        if ($this->option('json')) {
            return $this->json(
                $plan ?? ['steps' => [], 'left' => [], 'findings' => $findings],
                $findings->blocks() ? 1 : 0,
            );
        }
        foreach ($plan->doings ?? [] as $doing) {
            $this->line(
                gmdate('Y-m-d H:i', $doing->start).
                    '–'.
                    gmdate('H:i', $doing->end()).
                    " UTC  {$doing->box->name}".
                    ($doing->box->restart > 0 ? ', away from '.gmdate('H:i', $doing->restarts()) : ''),
            );
        }

        return $this->tell($findings);
    }
}
