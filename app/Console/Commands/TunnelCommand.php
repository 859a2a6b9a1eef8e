<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\Reach\Tunnel\TunnelAnswer;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

final class TunnelCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:tunnel {file : endpoint and devices as YAML or JSON} {--json : everything as JSON}';

    protected $description = 'A tunnel described: its files, what speaks against it, the largest packet inside';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        $answer = TunnelAnswer::to($text, Catalogue::schema('tunnel'), basename($file));
        if ($this->option('json')) {
            return $this->json($answer, $answer->findings->blocks() ? 1 : 0);
        }
        foreach ($answer->files() as $name => $content) {
            $this->line("--- {$name}");
            $this->output->write($content, false, OutputInterface::OUTPUT_RAW);
            $this->line('');
        }
        if ($answer->plan !== null) {
            $this->line($answer->plan->mtu->working()->title.": {$answer->plan->mtu->bytes} bytes");
        }

        return $this->tell($answer->findings);
    }
}
