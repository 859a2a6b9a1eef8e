<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\Store;
use Burrow\BringUp\Change;
use Burrow\BringUp\Kind\Typed\SupplyHolds;
use Burrow\BringUp\Kind\Typed\Warmth;
use Burrow\Household\Stage;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Plan\Power\Heat;
use Illuminate\Support\Facades\DB;

/**
 * How runs begin: a box is brought up, gets more to do or less, is changed, takes another one's place, plays steps
 * again, goes on where it was left. Two clicks at once are one beginning.
 */
final readonly class RunStart
{
    /** How long an old part is kept as the way back. */
    private const OLD_KEPT_DAYS = 30;

    /** What is left of an old disk's label in the new one's, before its day. */
    private const LABEL_BYTES = 9;

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
            $existing = $this->underWay($box);
            if ($existing !== null) {
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
            // One at a time in the whole house: of two who want the same, the second one is told.
            Network::query()->orderBy('id')->lockForUpdate()->first();
            $existing = $this->underWay($box);
            if ($existing !== null) {
                return $existing;
            }
            $kind = $change === Change::Address ? 'address' : 'name';
            $this->refuseIfPromised($box, $kind, $to);
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
                        'holders' => $this->holders($box),
                    ],
                ]),
            );
        });
    }

    /**
     * Another box has it, or is about to get it by a run that is not over.
     *
     * @throws StepTold
     */
    private function refuseIfPromised(Box $box, string $kind, string $to): void
    {
        $holder =
            Box::query()->here()->whereKeyNot($box->id)->where($kind, $to)->first() ??
            Run::query()
                ->with('box')
                ->whereNull('finished_at')
                ->where('box_id', '!=', $box->id)
                ->where("learned->new_{$kind}", $to)
                ->first()?->box;
        if ($holder !== null) {
            throw new StepTold("{$holder->called()} has {$to}, or is about to get it. Nothing was changed.");
        }
    }

    /** The boxes that need this one, as words. */
    private function holders(Box $box): string
    {
        $names = $box
            ->newQuery()
            ->whereIn('id', Dependency::query()->where('on_box_id', $box->id)->select('box_id'))
            ->orderBy('name')
            ->get(['name'])
            ->map(fn (Box $one): string => (string) $one->name)
            ->all();

        return implode(', ', $names) ?: 'no other box';
    }

    /**
     * Steps of a box that is up are played again, from one of them to the end. It stays in service meanwhile.
     *
     * @throws StepTold for a step that its playbook does not have, and while another run is under way
     */
    public function again(Box $box, string $from): Run
    {
        return DB::transaction(function () use ($box, $from): Run {
            if ($this->underWay($box) !== null) {
                throw new StepTold("Another run of {$box->called()} is under way. That one first.");
            }
            $run = new Run([
                'box_id' => $box->id,
                'learned' => $this->knownBefore($box, $box->run()->first()),
            ]);
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

        return $this->change(
            $box,
            Change::DropJob,
            ['from_name' => $label, 'job_label' => $label, 'job_id' => $job, 'holders' => $holders],
            "{$box->called()} is to have one job less: {$label}.",
        );
    }

    /**
     * A box that is up gets another board, card, disk, supply, cable, case or cooling; the record has the other parts
     * when the run is over.
     *
     * @param  array<string, ?string>  $parts  what is another part then, by its field
     * @param  string  $words  the same for people
     * @param  ?Store  $store  what lies on the disk that is another one then
     */
    public function swap(Box $box, Change $change, array $parts, string $words, ?Store $store = null): Run
    {
        $board = $this->playbooks->catalogue->board($parts['board'] ?? $box->board);

        return $this->change(
            $box,
            $change,
            [
                'parts' => json_encode($parts, JSON_THROW_ON_ERROR),
                'parts_words' => $words,
                'medium' => array_key_exists('drive', $parts) ? 'drive' : 'card',
                'old_mac' => $box->mac ?? 'Whatever stood there before',
                'holders' => $this->holders($box),
                'today' => now(Network::zone())->format('Y-m-d'),
                'kept_until' => now(Network::zone())->addDays(self::OLD_KEPT_DAYS)->format('Y-m-d'),
                SupplyHolds::LEAST => (string) $board?->undervoltage->volts,
                Warmth::SLOWS => (string) Heat::THROTTLES,
                ...$store === null ? [] : $this->ofTheStore($store),
            ],
            "{$box->called()} is to have other parts: {$words}.",
        );
    }

    /** @return array<string, string> what the steps of another disk are told of the one that is there */
    private function ofTheStore(Store $store): array
    {
        return [
            'mount_point' => $store->mount_point,
            'old_uuid' => (string) $store->uuid,
            'old_serial' => $store->serial ?? 'not on record',
            // Both are attached for an evening and must not be called alike; ext4 has 16 bytes for a label.
            'store_label' => mb_strcut($store->label, 0, self::LABEL_BYTES).now()->format('-ymd'),
        ];
    }

    /**
     * What another box does, or a program on a desk computer, moves to this box, which stands. Nothing of the record
     * changes before the box answered at the other one's address.
     *
     * @param  array<string, string>  $words  what the steps are told: from_name, holders, inventory …
     */
    public function moveTo(Box $box, Change $change, array $words): Run
    {
        return $this->change(
            $box,
            $change,
            $words,
            "What {$words['from_name']} does is to move to {$box->called()}.",
        );
    }

    /** @param  array<string, string>  $words  what the steps are told */
    private function change(Box $box, Change $change, array $words, string $entry): Run
    {
        return DB::transaction(function () use ($box, $change, $words, $entry): Run {
            if ($this->underWay($box) !== null) {
                throw new StepTold("Another run of {$box->called()} is under way. That one first.");
            }
            JournalEntry::write($box, 'run', $entry);

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

    /** The run of a box that is not over; the box is held, so that two clicks at once are one beginning. */
    private function underWay(Box $box): ?Run
    {
        Box::query()->lockForUpdate()->findOrFail($box->id);
        $run = $box->run()->first();

        return $run === null || $run->finished_at !== null ? null : $run;
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
