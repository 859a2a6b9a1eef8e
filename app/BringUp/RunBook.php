<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Change;
use Burrow\BringUp\Playbook\FilledPlaybook;
use Burrow\BringUp\Playbook\FilledStep;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\BringUp\Playbook\Playbook;
use Burrow\BringUp\Playbook\PlaybookReader;
use Burrow\BringUp\Playbook\RunSteps;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\Values;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;

/** A run seen together with its playbook: what a step plays, and the values that fill it. */
final readonly class RunBook
{
    public RunSteps $steps;

    /** @var list<Job> those of the run's jobs that the catalogue still holds */
    public array $jobs;

    private Catalogue $catalogue;

    /** @var list<string> ids of the run's jobs whose playbook nobody has written yet */
    private array $without;

    public function __construct(public Run $run, private Playbooks $playbooks)
    {
        $this->catalogue = $catalogue = $playbooks->catalogue;
        $held = ($run->adds === null
            ? $run->box->jobs
            : $run->box->jobs->whereIn('job', $run->adds)
        )->values();
        $known = $held->filter(fn (BoxJob $one): bool => $catalogue->job($one->job) !== null);
        $this->jobs = array_values(
            array_filter(
                $held
                    ->map(fn (BoxJob $one): ?Job => $catalogue->job($one->job)?->listeningAt($one->page_port))
                    ->all(),
            ),
        );
        $this->without = array_values(
            $known
                ->filter(fn (BoxJob $one): bool => $playbooks->for($one) === null)
                ->map(fn (BoxJob $one): string => $one->job)
                ->all(),
        );
        $books = array_values(
            $known->map(fn (BoxJob $one): Playbook => $playbooks->for($one) ?? $playbooks->bare($one))->all(),
        );
        if ($run->adds === null && $run->box->made_anew_at !== null) {
            // What it kept comes back before it is in service.
            $books[] = $playbooks->part('restore');
        }
        $change = $run->changes();
        if ($change !== null) {
            $books = [$playbooks->change($change)];
        }
        $this->steps = RunSteps::of(
            $books === [] ? [$playbooks->bare(new BoxJob(['job' => '']))] : $books,
            $run->adds !== null,
            $this->circumstances(),
        );
    }

    /** @return list<Circumstance> */
    private function circumstances(): array
    {
        $box = $this->run->box;
        $so = array_filter([
            Circumstance::FixedAddress->value => $box->fixed_address,
            Circumstance::Wireless->value => $box->link === LinkKind::Wireless->value,
            Circumstance::UsbCable->value => $box->link === LinkKind::UsbCable->value,
            Circumstance::ReadyMade->value => $this->catalogue->isReadyMade($box),
            Circumstance::TakesName->value => is_string($this->run->learned['new_name'] ?? null),
            Circumstance::OtherPower->value => $this->swaps('board', 'supply', 'cable', 'drive'),
            Circumstance::OtherWarmth->value => $this->swaps('case', 'cooling'),
        ]);

        return array_map(Circumstance::from(...), array_keys($so));
    }

    /** Whether the box gets another one of these parts in this run. */
    private function swaps(string ...$parts): bool
    {
        return array_intersect($parts, array_keys($this->run->newParts())) !== [];
    }

    /**
     * Steps as a list shows them.
     *
     * @param  iterable<RunStep>  $steps
     * @return list<array{id: int, title: string, state: string, note: string}>
     */
    public function listed(iterable $steps): array
    {
        $rows = [];
        foreach ($steps as $step) {
            // As they are in the database: seventy models and what they make of each column take their time.
            /** @var array{id: int, step: string, state: string, outcome?: ?string} $of */
            $of = $step->getAttributes();
            $played = $this->steps->step($of['step']) ?? PlaybookReader::gone($of['step']);
            $rows[] = [
                'id' => $of['id'],
                'title' => $played->title,
                'state' => $of['state'],
                'note' => $of['outcome'] ?? $played->place()->label(),
            ];
        }

        return $rows;
    }

    public function step(RunStep $step): Step
    {
        return $this->steps->step($step->step) ?? PlaybookReader::gone($step->step);
    }

    public function facts(): RunFacts
    {
        $box = $this->run->box;
        $before = $this->run->learned['leases_before'] ?? [];
        $id = $this->run->newParts()['drive'] ?? ($box->drive ?? '');
        $drive = $this->catalogue->drive($id);

        return new RunFacts(
            (string) $box->name,
            $box->user,
            $this->address(),
            $box->mac,
            $box->host_key,
            $box->host_key_at?->toDateTimeImmutable(),
            $box->card_written_at?->toDateTimeImmutable(),
            $drive?->capacity,
            $this->jobsThere(),
            is_array($before) ? array_values(array_filter($before, is_string(...))) : [],
            [...$this->answers(), ...array_filter($this->run->learned, is_string(...))],
            $this->house(),
            array_values(
                $this->run->steps
                    ->where('state', RunStep::SKIPPED)
                    ->map(fn (RunStep $step): string => $step->step)
                    ->all(),
            ),
        );
    }

    /** @return list<Job> those that the run plays; where it changes a box that is up, those that the box has */
    private function jobsThere(): array
    {
        if ($this->run->changes() === null) {
            return $this->jobs;
        }
        $there = $this->run->box->jobs->map(
            fn (BoxJob $one): ?Job => $this->catalogue->job($one->job)?->listeningAt($one->page_port),
        );

        return array_values(array_filter($there->all()));
    }

    /** What the page of the run is called. */
    public function title(): string
    {
        $name = $this->run->box->called();
        $over = $this->run->finished_at !== null;

        return match ($this->run->changes()) {
            Change::Address => "{$name}: another address",
            Change::Name => "{$name}: another name",
            Change::Move, Change::FromDesk => ($this->run->learnedText('from_name') ?? 'Another').
                ($over ? ' moved to ' : ' moves to ').
                $name,
            Change::DropJob => "{$name}: one job less",
            Change::OtherBoard => "{$name}: another board",
            Change::OtherCard => "{$name}: another ".($this->run->learnedText('medium') ?? 'card'),
            Change::OtherDisk => "{$name}: another disk",
            Change::OtherParts => "{$name}: other parts",
            null => ($this->run->learnedText('again_from') !== null
                ? ($over
                    ? 'Played again: '
                    : 'Playing steps again: ')
                : ($over
                    ? 'Brought up: '
                    : 'Bringing up ')).$name,
        };
    }

    /** Where the box is to answer: on record, or where this run brings it. */
    public function address(): ?Ipv4
    {
        $new = in_array($this->run->changes(), [Change::Address, Change::Move], true)
            ? $this->run->learned['new_address'] ?? null
            : null;

        return Ipv4::tryParse(is_string($new) ? $new : (string) $this->run->box->address);
    }

    /** @return array<string, string> what was answered for the box's jobs, in this run or an earlier one */
    private function answers(): array
    {
        $answers = [];
        foreach ($this->run->box->jobs as $held) {
            foreach ($held->answers as $name => $value) {
                $answers["{$held->job}:{$name}"] = $value;
            }
        }

        return $answers;
    }

    /** @return array<string, string> what is so of the whole house */
    private function house(): array
    {
        $network = $this->run->box->network;

        return [
            'domain' => (string) $network->domain,
            'router' => (string) $network->router,
            'prefix' => (string) $network->prefix,
            'zone' => Network::zone(),
            ...HouseWords::engine(Network::engine()),
        ];
    }

    /** What stands before a step whose ground was passed over; null when nothing does. */
    public function needsFirst(Step $step): ?Outcome
    {
        $missing = array_intersect($step->more->needs, $this->facts()->passedOver);
        $titles = array_values(
            array_map(fn (string $id): string => $this->steps->step($id)->title ?? $id, $missing),
        );

        return $titles === [] ? null : Outcome::notYet(BringUpFindings::needsFirst($titles));
    }

    public function values(Step $step): Values
    {
        return Values::of($this->facts(), $step);
    }

    /** All of its steps with what is known by now. */
    public function filled(): FilledPlaybook
    {
        return FilledPlaybook::underWay(
            $this->jobs,
            array_map(
                fn (Step $step): FilledStep => FilledStep::of($step, $this->values($step)),
                $this->steps->list,
            ),
        );
    }

    /** How long its steps take, here and by now. */
    public function times(): RunTimes
    {
        return new RunTimes($this);
    }

    /** @return list<string> ids of the steps that are over */
    public function finished(): array
    {
        return array_values(
            $this->run->steps
                ->filter(fn (RunStep $step): bool => $step->isFinished())
                ->map(fn (RunStep $step): string => $step->step)
                ->all(),
        );
    }

    /** "Step 8 of 15. 21 min of your hands left, 34 min of waiting." */
    public function sentence(): string
    {
        $steps = $this->run->steps->count();
        $passed = $this->passedOver();
        $name = $this->run->box->called();
        if ($this->run->finished_at !== null) {
            return match (true) {
                $passed > 0 => "Unfinished: {$passed} of {$steps} steps were passed over.",
                $this->withoutPlaybook() !== [] => "The common steps are over, and {$name} is not finished.",
                $this->run->changes()?->moves() => "All {$steps} steps are over, and {$name} does what ".
                    ($this->run->learnedText('from_name') ?? 'the other one').
                    ' did.',
                $this->run->changes()?->swaps() => "All {$steps} steps are over, and {$name} does its work with what is new.",
                $this->run->changes() !== null => "All {$steps} steps are over, and {$name} is where it belongs.",
                default => "All {$steps} steps are over, and {$name} is in service.",
            };
        }
        $finished = $this->finished();
        $step = count($finished) + 1;
        $hands = $this->steps->handsLeft($finished);
        $waiting = $this->steps->waitLeft($finished);

        return "Step {$step} of {$steps}. {$hands} of your hands left, ".
            ($waiting->seconds < 1 ? 'no waiting.' : "{$waiting} of waiting.");
    }

    /** How many steps were passed over. */
    public function passedOver(): int
    {
        return $this->run->steps->where('state', RunStep::SKIPPED)->count();
    }

    /** @return list<string> ids of the jobs of which this run holds no step of their own */
    public function withoutPlaybook(): array
    {
        return $this->without;
    }

    /** What this run does not contain, said at its start and at its end; null when it holds everything. */
    public function missing(): ?Finding
    {
        $labels = array_values(
            array_map(
                fn (Job $job): string => $job->label,
                array_filter($this->jobs, fn (Job $job): bool => in_array($job->id, $this->without, true)),
            ),
        );

        return $labels === [] ? null : BringUpFindings::noPlaybook($labels);
    }

    /** Jobs that were planned in a school which the catalogue no longer has; said as long as the run goes on. */
    public function schoolsGone(): Findings
    {
        $findings = [];
        foreach ($this->run->box->jobs as $held) {
            $gone = $this->playbooks->instead($held->job, $held->school);
            $gone === null ||
                ($findings[] = BringUpFindings::schoolGone(
                    $this->catalogue->job($held->job)->label ?? $held->job,
                    $held->school ?? '',
                    $gone ?: null,
                ));
        }

        return Findings::of(...$findings);
    }
}
