<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Playbooks;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Evening\Evening;
use Burrow\BringUp\Evening\Lane;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Collection;

/** All runs that are not over, with one pair of hands, from now on. */
final class EveningDesk
{
    /** More runs nobody plays in one evening. */
    private const MOST = 12;

    /** @var Collection<string, Run> by the name of their box */
    public readonly Collection $runs;

    public readonly Evening $evening;

    /** @var array<string, array<string, string>> run => step => title */
    private array $titles = [];

    public function __construct(Playbooks $playbooks)
    {
        $this->runs = Run::query()
            ->whereNull('finished_at')
            ->with(['box.network', 'box.jobs', 'steps'])
            ->latest('id')
            ->limit(self::MOST)
            ->get()
            ->keyBy(fn (Run $run): string => $run->box->called());
        $lanes = [];
        foreach ($this->runs as $name => $run) {
            $lanes[] = new Lane((string) $name, $this->tasks((string) $name, new RunBook($run, $playbooks)));
        }
        $now = new DateTimeImmutable('@'.now()->getTimestamp());
        $this->evening = new Evening(Timetable::of($lanes), $now->setTimezone(new DateTimeZone(Network::zone())));
    }

    public function title(Slot $slot): string
    {
        return $this->titles[$slot->run][$slot->task->id] ?? $slot->task->id;
    }

    /** @return list<Task> */
    private function tasks(string $name, RunBook $book): array
    {
        $tasks = [];
        foreach ($book->run->steps as $step) {
            if (! $step->isFinished()) {
                [$hands, $wait] = $book->left($step);
                $this->titles[$name][$step->step] = $this->titleOf($book, $step);
                $tasks[] = new Task($step->step, $hands, $wait);
            }
        }

        return $tasks;
    }

    private function titleOf(RunBook $book, RunStep $step): string
    {
        return $book->step($step)->title;
    }
}
