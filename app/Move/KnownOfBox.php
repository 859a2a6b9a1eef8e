<?php

declare(strict_types=1);

namespace App\Move;

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Backup;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Run;
use App\Models\Service;
use Burrow\Move\Known;
use Illuminate\Database\Eloquent\Collection;

/** What the record knows of a box that would have to be made anew. */
final readonly class KnownOfBox
{
    /** Below this a copy tells more of looking than of sending. */
    private const TELLS = 1_000_000_000;

    public function __construct(private Playbooks $playbooks)
    {
    }

    public function of(Box $box): Known
    {
        $box->loadMissing(['jobs', 'network', 'services']);
        $run = (new Run(['learned' => []]))->setRelation('box', $box)->setRelation('steps', new Collection());
        $hands = $waits = 0.0;
        $missing = [];
        $answered = [];
        foreach ($box->jobs as $job) {
            $answered += $this->answered($job);
        }
        foreach ((new RunBook($run, $this->playbooks))->steps->list as $step) {
            $hands += $step->hands->seconds;
            $waits +=
                $step->waitTo === null ? 0 : (($step->waitFrom->seconds ?? 0) + $step->waitTo->seconds) / 2;
            foreach ($step->more->asks as $asked) {
                isset($answered["{$step->more->job}:{$asked->name}"]) ||
                    ($missing[$asked->label] = $asked->label);
            }
        }
        $copies = [];
        foreach (Backup::query()->where('box_id', $box->id)->get() as $backup) {
            $sent = (int) $backup->changed_bytes;
            $copies[(string) $backup->name] = [
                'bytes' => $backup->full_bytes === null ? null : (int) $backup->full_bytes,
                'paths' => $backup->paths,
                'rate' => $sent >= self::TELLS && (int) $backup->seconds > 0
                        ? $sent / (int) $backup->seconds
                        : null,
            ];
        }
        $clients = array_merge(
            ...$box->services
                ->map(fn (Service $one): array => array_column($one->clients ?? [], 'client'))
                ->values()
                ->all(),
        );

        return new Known(
            $hands,
            $waits,
            array_values($missing),
            $copies,
            array_values(array_unique(array_filter($clients, is_string(...)))),
        );
    }

    /** @return array<string, true> "job:name" */
    private function answered(BoxJob $job): array
    {
        return array_combine(
            array_map(fn (string $name): string => "{$job->job}:{$name}", array_keys($job->answers)),
            array_fill(0, count($job->answers), true),
        );
    }
}
