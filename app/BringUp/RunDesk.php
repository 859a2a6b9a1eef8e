<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\Identity;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\StepDoubt;
use App\Models\Store;
use Burrow\BringUp\Change;
use Burrow\BringUp\Step\Outcome;
use Burrow\Household\DoorState;
use Burrow\Household\Stage;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Moves runs along. Every change is one transaction that first looks whether the step is still what the person
 * saw, so that two tabs, a crash or a repeated click never lose or double anything.
 */
final readonly class RunDesk
{
    public function __construct(
        private Playbooks $playbooks,
        private BenchClient $bench,
        private Intake $intake,
    ) {
    }

    /** The box's run; begun when there is none or the last one is over. */
    public function begin(Box $box): Run
    {
        $learned = $box->on_bench ? $this->benchBefore() : [];

        return DB::transaction(function () use ($box, $learned): Run {
            // Two clicks at once are one beginning.
            Box::query()->lockForUpdate()->findOrFail($box->id);
            $existing = $box->run()->first();
            if ($existing !== null && $existing->finished_at === null) {
                return $existing;
            }
            $run = $this->layOut(Run::query()->create(['box_id' => $box->id, 'learned' => $learned]));
            $box->update(['stage' => Stage::BringingUp]);
            JournalEntry::write($box, 'run', "Bringing up {$box->called()} began.");

            return $run;
        });
    }

    /**
     * A box in service gets more to do; it stays in service meanwhile.
     *
     * @param  list<array{job: string, school: string, page_port?: ?int}>  $jobs
     */
    public function add(Box $box, array $jobs): Run
    {
        return DB::transaction(function () use ($box, $jobs): Run {
            $box->jobs()->createMany($jobs);
            $adds = array_column($jobs, 'job');
            JournalEntry::write(
                $box,
                'run',
                "More to do for {$box->called()}: ".
                    implode(
                        ', ',
                        array_map(
                            fn (string $job): string => $this->playbooks->catalogue->job($job)->label ?? $job,
                            $adds,
                        ),
                    ).
                    '.',
            );

            return $this->layOut(
                Run::query()->create([
                    'box_id' => $box->id,
                    'learned' => $box->on_bench ? $this->benchBefore() : [],
                    'adds' => $adds,
                ]),
            );
        });
    }

    /**
     * A box that is up gets another address or another name. It stays in service meanwhile, and its record says what
     * is so: the new address from when it answered there, the new name when the run is over.
     *
     * @param  string  $to  a free address, or a name
     */
    public function alter(Box $box, Change $change, string $to): Run
    {
        return DB::transaction(function () use ($box, $change, $to): Run {
            Box::query()->lockForUpdate()->findOrFail($box->id);
            $existing = $box->run()->first();
            if ($existing !== null && $existing->finished_at === null) {
                return $existing;
            }
            $kind = $change === Change::Address ? 'address' : 'name';
            $holders = $box
                ->newQuery()
                ->whereIn('id', Dependency::query()->where('on_box_id', $box->id)->select('box_id'))
                ->orderBy('name')
                ->get(['name'])
                ->map(fn (Box $one): string => (string) $one->name)
                ->all();
            JournalEntry::write($box, 'run', "{$box->called()} is to get another {$kind}: {$to}.");

            return $this->layOut(
                Run::query()->create([
                    'box_id' => $box->id,
                    'adds' => [],
                    'change' => $change->value,
                    'learned' => [
                        ...$box->on_bench ? $this->benchBefore() : [],
                        'found' => (string) $box->address,
                        'old_address' => (string) $box->address,
                        'old_name' => (string) $box->name,
                        "new_{$kind}" => $to,
                        'holders' => implode(', ', $holders) ?: 'no other box',
                    ],
                ]),
            );
        });
    }

    /**
     * Steps of a box that is up are played again, from one of them to the end. It stays in service meanwhile.
     *
     * @throws StepTold for a step that its playbook does not have, and while another run is under way
     */
    public function again(Box $box, string $from): Run
    {
        return DB::transaction(function () use ($box, $from): Run {
            Box::query()->lockForUpdate()->findOrFail($box->id);
            $existing = $box->run()->first();
            if ($existing !== null && $existing->finished_at === null) {
                throw new StepTold("Another run of {$box->called()} is under way. That one first.");
            }
            $run = new Run(['box_id' => $box->id, 'learned' => $this->knownBefore($box, $existing)]);
            $run->setRelation('box', $box->loadMissing(['jobs', 'network']));
            $step = (new RunBook($run->setRelation('steps', collect()), $this->playbooks))->steps->step(
                $from,
            );
            if ($step === null) {
                throw new StepTold('Its playbook has no such step. Nothing was changed.');
            }
            $run->learned = ['again_from' => $from] + $run->learned;
            $run->unsetRelation('steps')->save();
            JournalEntry::write(
                $box,
                'run',
                "{$box->called()}: steps are played again from “{$step->title}” on.",
            );

            return $this->layOut($run);
        });
    }

    /**
     * What an earlier run learned of the box and is still so: later steps are filled in from it.
     *
     * @return array<string, mixed>
     */
    private function knownBefore(Box $box, ?Run $before): array
    {
        return [
            ...array_diff_key($before->learned ?? [], [
                'looked' => true,
                'again_from' => true,
                'took' => true,
            ]),
            ...$box->on_bench ? $this->benchBefore() : [],
            'found' => (string) $box->address,
        ];
    }

    /** A box that is up gets one job less; the record says so when the run is over. */
    public function dropJob(Box $box, string $job, string $holders): Run
    {
        $label = $this->playbooks->catalogue->job($job)->label ?? $job;

        return $this->moveTo($box, Change::DropJob, [
            'from_name' => $label,
            'job_label' => $label,
            'job_id' => $job,
            'holders' => $holders,
        ]);
    }

    /**
     * What another box does, or a program on a desk computer, moves to this box, which stands. Nothing of the record
     * changes before the box answered at the other one's address.
     *
     * @param  array<string, string>  $words  what the steps are told: from_name, holders, inventory …
     */
    public function moveTo(Box $box, Change $change, array $words): Run
    {
        return DB::transaction(function () use ($box, $change, $words): Run {
            Box::query()->lockForUpdate()->findOrFail($box->id);
            $existing = $box->run()->first();
            if ($existing !== null && $existing->finished_at === null) {
                throw new StepTold("Another run of {$box->called()} is under way. That one first.");
            }
            JournalEntry::write(
                $box,
                'run',
                $change->moves()
                    ? "What {$words['from_name']} does is to move to {$box->called()}."
                    : "{$box->called()} is to have one job less: {$words['from_name']}.",
            );

            return $this->layOut(
                Run::query()->create([
                    'box_id' => $box->id,
                    'adds' => [],
                    'change' => $change->value,
                    'learned' => [
                        ...$box->on_bench ? $this->benchBefore() : [],
                        'found' => (string) $box->address,
                        'old_address' => (string) $box->address,
                        ...$words,
                    ],
                ]),
            );
        });
    }

    /**
     * The run that ended unfinished goes on: what was passed over is open again, and steps that its playbook has now
     * join it.
     */
    public function resume(Run $seen): Run
    {
        return DB::transaction(function () use ($seen): Run {
            $run = Run::query()
                ->with(['box.jobs', 'steps'])
                ->lockForUpdate()
                ->findOrFail($seen->id);
            if ($run->finished_at === null || $run->box->run?->id !== $run->id) {
                throw new StepTold(
                    'This run is not the last one of its box, or it goes on already. Nothing was changed.',
                );
            }
            $run->steps()
                ->where('state', RunStep::SKIPPED)
                ->update([
                    'state' => RunStep::OPEN,
                    'began_at' => null,
                    'finished_at' => null,
                    'outcome' => null,
                    'findings' => null,
                    'due_on' => null,
                    'version' => DB::raw('version + 1'),
                ]);
            $this->layOut($run);
            if ($run->steps()->where('state', RunStep::OPEN)->doesntExist()) {
                throw new StepTold('Nothing of this run is open. Nothing was changed.');
            }
            $run->update(['finished_at' => null]);
            if (! $run->box->isInService() && $run->changes() === null) {
                $run->box->update(['stage' => Stage::BringingUp]);
            }
            JournalEntry::write(
                $run->box,
                'run',
                "{$run->box->called()}: what was left open was taken up again.",
            );

            return $run;
        });
    }

    /** Every step of the playbook in its order; those that are there already stay as they are. */
    private function layOut(Run $run): Run
    {
        $from = $run->learnedText('again_from');
        foreach ((new RunBook($run, $this->playbooks))->steps->list as $position => $played) {
            $from = $played->id === $from ? null : $from;
            if ($from !== null) {
                continue;
            }
            $step = RunStep::query()->firstOrNew(
                ['run_id' => $run->id, 'step' => $played->id],
                ['state' => RunStep::OPEN],
            );
            $step->fill(['position' => $position])->save();
        }

        return $run->unsetRelation('steps');
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
            $held?->update(['answers' => [...$held->answers, ...$answers]]);
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
            ->where('network_id', $box->network_id)
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

    /**
     * The router's list before power-on, and the speed of the bench's clock.
     *
     * @return array<string, mixed>
     */
    private function benchBefore(): array
    {
        try {
            $leases = $this->intake->read('leases', $this->bench->text('leases', 'text'))->all(Lease::class);

            return [
                'leases_before' => array_map(fn (Lease $lease): string => (string) $lease->mac, $leases),
                'speed' => $this->bench->ask(['do' => 'status'])['speed'] ?? 1,
            ];
        } catch (BenchAway) {
            return [];
        }
    }
}
