<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanFile;
use Burrow\Plan\Ways\WayOut;
use Burrow\Plan\Ways\WaysOut;
use Illuminate\Console\Command;

final class PlanCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:plan {file : a plan as YAML} {--json : everything as JSON}';

    protected $description = 'Does this plan fit?';

    public function handle(Catalogue $catalogue): int
    {
        $file = (string) $this->argument('file');
        $yaml = $this->textOf($file);
        if ($yaml === null) {
            return 2;
        }
        $plan = PlanFile::read($yaml, Catalogue::schema('plan'), basename($file), $catalogue->shelf());
        if (! $this->option('json')) {
            $this->tell($catalogue->unread());
        }
        if ($plan->input === null) {
            return $this->option('json')
                ? $this->json(
                    [
                        'fits' => false,
                        'figures' => [],
                        'findings' => [...$plan->findings, ...$catalogue->unread()],
                        'ways_out' => [],
                    ],
                    1,
                )
                : $this->tell($plan->findings);
        }
        $answer = PlanAnswer::to($plan->input);
        if ($this->option('json')) {
            return $this->json(
                [
                    ...$answer->jsonSerialize(),
                    'findings' => [...$answer->findings, ...$plan->findings, ...$catalogue->unread()],
                    'ways_out' => array_map(
                        fn (WayOut $way): array => [
                            'changes' => $way->labels(),
                            'price' => $way->cents / 100,
                            'leaves' => $way->leaves,
                        ],
                        (new WaysOut($catalogue->shelf()))->from($plan->input),
                    ),
                ],
                $answer->fits() ? 0 : 1,
            );
        }
        $this->line($answer->sentence());
        $exit = $this->tell($answer->findings);
        foreach ((new WaysOut($catalogue->shelf()))->from($plan->input) as $way) {
            $this->line(
                "way out: {$way->sentence()} ({$way->price()})".
                    ($way->leaves === [] ? '' : ', leaves: '.implode(' ', $way->leaves)),
            );
        }

        return $exit;
    }
}
