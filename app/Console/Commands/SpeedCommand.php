<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\Speed\PageSpeed;
use App\Console\Speed\WorkSpeed;
use Burrow\Intake\Intake;
use Illuminate\Console\Command;

/** Times as ratios within one run: this machine's load is in both sides of them. */
final class SpeedCommand extends Command
{
    protected $signature = 'burrow:speed {base : where the running copy answers}';

    protected $description = 'Page times as multiples of a blank page, and readers against the obvious tool';

    public function handle(Intake $intake): int
    {
        $say = fn (string $line) => $this->line($line);
        (new PageSpeed($say))->measure((string) $this->argument('base'));
        (new WorkSpeed($say))->measure($intake);

        return 0;
    }
}
