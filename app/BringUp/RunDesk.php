<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Identity;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\StepDoubt;
use App\Models\Store;
use Burrow\BringUp\Change;
use Burrow\BringUp\Step\Outcome;
use Burrow\Household\DoorState;
use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Moves runs along. Every change is one transaction that first looks whether the step is still what the person
 * saw, so that two tabs, a crash or a repeated click never lose or double anything.
 */
final readonly class RunDesk
{
    public function __construct(private Playbooks $playbooks)
    {
    }

    /** Starts a step's wait. */
    public function start(RunStep $step, int $version): void
    {
        $this->change($step, $version, function (RunStep $step): void {
            $step->state = RunStep::RUNNING;
            $step->began_at = now();
            $step->stages = null;
        });
        WatchStarts::dispatch();
    }

    /** @param  ?DateTimeImmutable  $again  day on which it is to be looked at again */
    public function skip(RunStep $step, int $version, string $reason, ?DateTimeImmutable $again = null): void
    {
        $this->change($step, $version, function (RunStep $step) use ($reason, $again): void {
            $step->due_on = $again === null ? null : Carbon::instance($again);
            $step->state = RunStep::SKIPPED;
            $step->outcome = mb_strimwidth('passed over: '.$reason, 0, 190, '…');
            $step->finished_at = now();
            JournalEntry::write(
                $step->run->box,
                'overruled',
                'Step “'.$this->title($step)."” was passed over: {$reason}",
            );
        });
    }

    /** It looked different here: the step is marked as stale and seen in Upkeep. The run goes on as it is. */
    public function doubt(RunStep $step, string $saw): void
    {
        $title = $this->title($step);
        StepDoubt::query()->create([
            'step' => $step->step,
            'title' => mb_strimwidth($title, 0, 80, '…'),
            'box_id' => $step->run->box_id,
            'saw' => mb_strimwidth($saw, 0, 190, '…'),
        ]);
        JournalEntry::write($step->run->box, 'run', "Step “{$title}” looked different: {$saw}");
    }

    /** Takes back the step that was over last; what was learned at it stays until it is learned anew. */
    public function reopen(RunStep $seen, int $version): void
    {
        DB::transaction(function () use ($seen, $version): void {
            $step = RunStep::query()
                ->with(['run.box', 'run.steps'])
                ->lockForUpdate()
                ->findOrFail($seen->id);
            if ($step->version !== $version || $step->run->last()?->id !== $step->id) {
                throw new StepTold(
                    'Only the last step can be taken back, and this one is no longer the last. Nothing was changed.',
                );
            }
            $step->update([
                'state' => RunStep::OPEN,
                'began_at' => null,
                'finished_at' => null,
                'outcome' => null,
                'findings' => null,
                'version' => $version + 1,
            ]);
            // What was found at steps after it was found under other circumstances.
            $step->run
                ->steps()
                ->where('position', '>', $step->position)
                ->where('state', RunStep::OPEN)
                ->update(['findings' => null]);
            JournalEntry::write($step->run->box, 'run', 'Step “'.$this->title($step).'” was taken back.');
        });
    }

    /** Writes down what came of a step; the outcome was worked out before, outside the transaction. */
    public function settle(RunStep $step, int $version, Outcome $outcome): void
    {
        $this->change($step, $version, function (RunStep $step) use ($outcome): void {
            $step->findings = array_map(
                fn ($finding): array => [
                    'severity' => $finding->severity->value,
                    'code' => $finding->code,
                    'found' => $finding->found,
                    'why' => $finding->why,
                    'do' => $finding->do,
                    'field' => $finding->place->field ?? '',
                ],
                $outcome->findings->list,
            );
            $this->noteLooks($step->run, $outcome);
            if (! $outcome->over) {
                return;
            }
            $step->state = RunStep::DONE;
            $days = (new RunBook($step->run, $this->playbooks))->step($step)->more->dueDays;
            $step->due_on = $days === null ? null : now()->addDays($days);
            $step->outcome = mb_strimwidth($outcome->words, 0, 190, '…');
            $step->finished_at = now();
            $this->learn($step->run, $outcome);
        });
    }

    /** @param  callable(RunStep): void  $change */
    private function change(RunStep $seen, int $version, callable $change): void
    {
        DB::transaction(function () use ($seen, $version, $change): void {
            $step = RunStep::query()
                ->with(['run.box.jobs', 'run.steps'])
                ->lockForUpdate()
                ->findOrFail($seen->id);
            if ($step->isFinished()) {
                throw new StepTold(
                    'This step is already over: it was finished '.
                        ($step->finished_at?->diffForHumans() ?? 'meanwhile').
                        ', perhaps in another tab. Nothing was changed.',
                );
            }
            if ($step->version !== $version) {
                throw new StepTold(
                    'This step has moved on since this page was loaded, perhaps in another tab. Here is how it stands now; nothing was changed.',
                );
            }
            if ($step->run->current()?->id !== $step->id) {
                throw new StepTold('Another step comes first. Nothing was changed.');
            }
            $change($step);
            $step->version++;
            $step->save();
            $this->finishIfLast($step);
        });
    }

    /** What was asked, what it met, and when: the record of the box begins with it. */
    private function noteLooks(Run $run, Outcome $outcome): void
    {
        if ($outcome->looked === []) {
            return;
        }
        $looked = array_map(
            fn (DoorState $state): array => ['state' => $state->value, 'at' => now()->toIso8601String()],
            $outcome->looked,
        );
        $known = is_array($run->learned['looked'] ?? null) ? $run->learned['looked'] : [];
        $run->update(['learned' => [...$run->learned, 'looked' => [...$known, ...$looked]]]);
        // A refusal comes from the box itself, so it is there.
        $answers = in_array(
            true,
            array_map(fn (DoorState $state): bool => $state !== DoorState::Silent, $outcome->looked),
            true,
        );
        $run->box->update(['asked_at' => now()] + ($answers ? ['answered_at' => now()] : []));
    }

    private function title(RunStep $step): string
    {
        return (new RunBook($step->run, $this->playbooks))->step($step)->title;
    }

    private function learn(Run $run, Outcome $outcome): void
    {
        $learned = $outcome->learned;
        $box = $run->box;
        $box->mac = $learned->mac ?? $box->mac;
        $shown = $learned->hostKey?->fingerprint();
        if ($shown !== null && $shown !== $box->host_key) {
            $box->host_key = $shown;
            $box->host_key_at = now();
            JournalEntry::write($box, 'host key', "Host key kept: {$shown}");
        }
        if ($learned->pinned) {
            // It answered there, with its key: from now on that is where it is.
            $address = (string) (new RunBook($run, $this->playbooks))->address();
            if ($run->changes() === Change::Move) {
                (new TakeOver())->forth($run);
            }
            $this->refuseIfHeld($box, 'address', $address);
            $box->address = $address;
            $box->pinned_at = now();
            JournalEntry::write(
                $box,
                'address',
                "{$box->called()} is pinned to {$box->address} by a reservation in the router.",
            );
        }
        if ($learned->cardWritten) {
            $box->card_written_at = now();
        }
        if ($learned->updated) {
            $box->updated_system_at = now();
            JournalEntry::write($box, 'update', "System brought up to date: {$outcome->words}.");
        }
        $box->save();
        if ($learned->hostKey !== null) {
            Identity::whole($box, $learned->hostKey);
        }
        foreach ($learned->answers as $job => $answers) {
            $held = $box->jobs->firstWhere('job', $job);
            $held?->changeInTurn(fn (BoxJob $now): array => ['answers' => [...$now->answers, ...$answers]]);
        }
        if ($learned->store !== null) {
            Store::query()->firstOrCreate(
                ['box_id' => $box->id, 'uuid' => $learned->store['uuid']],
                $learned->store,
            );
        }
        $run->update(['learned' => [...$run->learned, ...$outcome->values]]);
    }

    /** Somebody may have given it to another box while the run was under way. */
    private function refuseIfHeld(Box $box, string $column, string $value): void
    {
        $holder = Box::query()
            ->when($column !== 'name', fn ($query) => $query->where('network_id', $box->network_id))
            ->where($column, $value)
            ->whereKeyNot($box->id)
            ->first();
        if ($holder !== null) {
            $who = $column === 'name' ? "Another box is called {$value}" : "{$holder->called()} has {$value}";

            throw new StepTold("{$who} by now. Nothing was changed.");
        }
    }

    private function finishIfLast(RunStep $step): void
    {
        $run = $step->run->load('steps');
        if ($run->current() === null) {
            $name = $run->learned['new_name'] ?? null;
            is_string($name) && $this->refuseIfHeld($run->box, 'name', $name);
            (new Moving($this->playbooks->catalogue))->in($run, new RunBook($run, $this->playbooks));
        }
    }
}
