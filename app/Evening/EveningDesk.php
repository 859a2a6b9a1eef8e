<?php

declare(strict_types=1);

namespace App\Evening;

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Network;
use App\Models\Run;
use App\Plan\BoxPlan;
use Burrow\BringUp\Evening\Evening;
use Burrow\BringUp\Evening\Lane;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;
use Burrow\Household\Stage;
use Burrow\Plan\Time\ImageTime;
use DateTimeImmutable;
use DateTimeZone;

/**
 * All runs that are not over, and boxes that have a name and wait for theirs, with one pair of hands and one card
 * reader, from now on.
 */
final class EveningDesk
{
    /** More nobody plays in one evening. */
    private const MOST = 12;

    /** The card in and out of the reader, and the tool set going: common practice. */
    private const CARD_HANDS = 180.0;

    /** Common practice for a small image with its comparison, where the plan has no image. */
    private const CARD_WAIT = 420.0;

    private const READER = 'card reader';

    /** The step before any run. */
    private const CARD = 'card';

    public readonly Evening $evening;

    /** @var array<string, string> name of a lane => address of the page where its next step is */
    public readonly array $pages;

    /** @var array<string, array<string, string>> lane => step => title */
    private array $titles = [];

    public function __construct(private readonly Playbooks $playbooks)
    {
        $lanes = $pages = [];
        foreach (
            Run::query()
                ->whereNull('finished_at')
                ->with(['box.network', 'box.jobs', 'steps'])
                ->latest('id')
                ->limit(self::MOST)
                ->get() as $run
        ) {
            $name = $run->box->called();
            $pages[$name] = "/runs/{$run->id}";
            $lanes[] = new Lane($name, $this->ofRun($name, new RunBook($run, $playbooks)));
        }
        foreach (
            Box::query()
                ->where('stage', Stage::Named)
                ->whereDoesntHave('run')
                ->with(['network', 'jobs'])
                ->latest('id')
                ->limit(self::MOST)
                ->get() as $box
        ) {
            if (count($lanes) < self::MOST && ! isset($pages[$box->called()])) {
                $pages[$box->called()] =
                    $box->card_written_at === null ? "/boxes/{$box->id}/card" : "/boxes/{$box->id}";
                $lanes[] = new Lane($box->called(), $this->ofBox($box));
            }
        }
        $this->pages = $pages;
        $now = new DateTimeImmutable('@'.now()->getTimestamp());
        $this->evening = new Evening(Timetable::of($lanes), $now->setTimezone(new DateTimeZone(Network::zone())));
    }

    public function title(Slot $slot): string
    {
        return $this->titles[$slot->run][$slot->task->id] ?? $slot->task->id;
    }

    /** @return list<string> names of the lanes, in their order */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->pages));
    }

    /** @return list<Task> */
    private function ofRun(string $name, RunBook $book): array
    {
        $tasks = [];
        foreach ($book->run->steps as $step) {
            if (! $step->isFinished()) {
                [$hands, $wait] = $book->left($step);
                $this->titles[$name][$step->step] = $book->step($step)->title;
                $tasks[] = new Task($step->step, $hands, $wait);
            }
        }

        return $tasks;
    }

    /**
     * A box whose run has not begun: its card, where that is not written yet, and the steps that its run would have.
     *
     * @return list<Task>
     */
    private function ofBox(Box $box): array
    {
        $name = $box->called();
        $run = (new Run(['learned' => []]))->setRelation('box', $box)->setRelation('steps', $box->newCollection());
        $tasks = [];
        if ($box->card_written_at === null) {
            $plan = BoxPlan::of($box, $this->playbooks->catalogue);
            $this->titles[$name][self::CARD] = 'Write its card';
            $wait = $plan === null ? self::CARD_WAIT : (new ImageTime($plan))->time()->seconds;
            $tasks[] = new Task(self::CARD, self::CARD_HANDS, $wait, [self::READER]);
        }
        foreach ((new RunBook($run, $this->playbooks))->steps->list as $step) {
            $this->titles[$name][$step->id] = $step->title;
            $wait = (($step->waitFrom->seconds ?? 0.0) + ($step->waitTo->seconds ?? 0.0)) / 2;
            $tasks[] = new Task($step->id, $step->hands->seconds, $wait);
        }

        return $tasks;
    }
}
