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
use Burrow\BringUp\Evening\Longer;
use Burrow\BringUp\Evening\Slot;
use Burrow\BringUp\Evening\Task;
use Burrow\BringUp\Evening\Timetable;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Household\Stage;
use Burrow\Plan\Time\ImageTime;
use DateTimeImmutable;
use DateTimeZone;

/**
 * All runs that are not over, and boxes that have a name and wait for theirs, with one pair of hands, one card reader
 * and one screen with its keyboard, from now on. Hands are at the desk, or where a box stands: boxes on one strip or
 * switch stand together.
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

    private const SCREEN = 'screen';

    private const DESK = 'desk';

    /** A house is not larger, in minutes. */
    public const FARTHEST = 30;

    /** Shorter waits are not worth asking about, in seconds. */
    private const SHORTEST = 60.0;

    /** Waits that a form offers. */
    private const WAITS = 60;

    /** The step before any run. */
    private const CARD = 'card';

    public readonly Evening $evening;

    /** Minutes from the desk to where a box stands. */
    public readonly int $walk;

    /** @var list<Lane> */
    private readonly array $lanes;

    /** @var array<string, string> name of a lane => address of the page where its next step is */
    public readonly array $pages;

    /** @var array<string, array<string, string>> lane => step => title */
    private array $titles = [];

    public function __construct(private readonly Playbooks $playbooks)
    {
        $this->walk = min(self::FARTHEST, max(0, (int) Network::home()->walk));
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
        $this->lanes = $lanes;
        $this->evening = new Evening(
            Timetable::of($lanes, 60 * $this->walk),
            $now->setTimezone(new DateTimeZone(Network::zone())),
        );
    }

    public function title(Slot $slot): string
    {
        return $this->titles[$slot->run][$slot->task->id] ?? $slot->task->id;
    }

    /**
     * Waits that may take longer, by what stands for them in a form.
     *
     * @return array<string, string>
     */
    public function waits(): array
    {
        $waits = [];
        foreach ($this->evening->timetable->slots as $slot) {
            if ($slot->task->wait >= self::SHORTEST) {
                $waits["{$slot->run}/{$slot->task->id}"] = "{$slot->run}: ".lcfirst($this->title($slot));
            }
        }

        return array_slice($waits, 0, self::WAITS, true);
    }

    /** What becomes of the evening when a wait takes so many minutes longer; null where there is no such wait. */
    public function longer(string $wait, int $minutes): ?Longer
    {
        foreach ($this->evening->timetable->slots as $slot) {
            if ($slot->task->wait >= self::SHORTEST && "{$slot->run}/{$slot->task->id}" === $wait) {
                return Longer::of($this->lanes, 60 * $this->walk, $slot, 60.0 * $minutes);
            }
        }

        return null;
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
                [$hands, $wait] = $book->times()->left($step);
                $this->titles[$name][$step->step] = $book->step($step)->title;
                $tasks[] = self::task($book->step($step), $book->run->box, $hands, $wait);
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
        $run = (new Run(['learned' => []]))
            ->setRelation('box', $box)
            ->setRelation('steps', $box->newCollection());
        $tasks = [];
        if ($box->card_written_at === null) {
            $plan = BoxPlan::of($box, $this->playbooks->catalogue);
            $this->titles[$name][self::CARD] = 'Write its card';
            $wait = $plan === null ? self::CARD_WAIT : (new ImageTime($plan))->time()->seconds;
            $tasks[] = new Task(self::CARD, self::CARD_HANDS, $wait, [self::READER], self::DESK);
        }
        foreach ((new RunBook($run, $this->playbooks))->steps->list as $step) {
            $this->titles[$name][$step->id] = $step->title;
            $between = [$step->waitFrom->seconds ?? 0.0, $step->waitTo->seconds ?? 0.0];
            $tasks[] = self::task($step, $box, $step->hands->seconds, array_sum($between) / 2, $between);
        }

        return $tasks;
    }

    /** @param  ?array{float, float}  $between  the shortest and the longest wait; null where it is as it is */
    private static function task(
        Step $step,
        Box $box,
        float $hands,
        float $wait,
        ?array $between = null,
    ): Task {
        return new Task(
            $step->id,
            $hands,
            $wait,
            $step->more->screen ? [self::SCREEN] : [],
            $step->place() === StepPlace::Hand ? 'at '.($box->fed_by ?: $box->called()) : self::DESK,
            $between !== null && $between[0] < $between[1] ? $between : null,
        );
    }
}
