<?php

declare(strict_types=1);

namespace App\Plan;

use App\BringUp\RunStart;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Decision;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Plan;
use App\Ports\PagePorts;
use Burrow\Catalogue\Job\Job;
use Burrow\Household\Stage;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\Seat;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/** Turns a plan into a box, or into more work for a box, and keeps why: what was overruled, tried and dropped. */
final readonly class Deciding
{
    public function __construct(private Catalogue $catalogue, private RunStart $runs)
    {
    }

    /** Everything that speaks for and against the plan in the place it is to have. */
    public function findings(Choices $choices): Findings
    {
        if (! $choices->onDesk()) {
            return PlanAnswer::findings($choices->input());
        }
        $seats = array_values(
            array_filter(Seat::all($choices->input(), []), fn (Seat $seat): bool => $seat->kind === 'desk'),
        );

        return $seats[0]->findings ?? Findings::of();
    }

    /** The box that it becomes or that takes it on; null for a program on the desk computer. */
    public function decide(Choices $choices, Household $household, string $because): ?Box
    {
        $kept = $this->keptAlready($choices);
        if ($kept !== null) {
            $kept->update(['because' => $because]);

            return $kept->box;
        }

        return DB::transaction(function () use ($choices, $household, $because): ?Box {
            $answer = PlanAnswer::to($choices->input());
            $stops = array_filter(
                $this->findings($choices)->list,
                fn (Finding $finding): bool => $finding->severity === Severity::Stop,
            );
            $overruled = implode(' ', array_map(fn (Finding $finding): string => $finding->found, $stops));
            $jobs = array_map(fn (string $id): string => $this->catalogue->job($id)->label ?? $id, $choices->jobs());
            $box = $choices->onDesk() ? null : $choices->hostBox() ?? $this->newBox($choices);
            $seat = $choices->onDesk() ? $choices->get('desk') : $choices->host()->name ?? 'a box of its own';
            if ($choices->host() !== null && $box !== null) {
                $box->update(['drive' => $choices->input()->drive?->id]);
                $this->runs->add($box, $this->jobs($choices));
            }
            Decision::query()->create([
                'box_id' => $box?->id,
                'seat' => $seat,
                'sentence' => ucfirst(implode(', ', $jobs)).
                    " on {$seat}. ".
                    ($choices->onDesk() ? '' : $answer->sentence()),
                'because' => $because,
                'overruled' => $overruled,
                'choices' => $choices->toArray(),
                'tried' => $this->takeTried($choices, $household),
                'by' => Auth::user()->name ?? 'the burrow itself',
            ]);
            JournalEntry::write(
                $box ?? Network::home(),
                'plan',
                'Planned as '.
                    implode(', ', $jobs).
                    " on {$seat}".
                    ($because === '' || $overruled !== '' ? '' : ", because {$because}").
                    ($choices->onDesk() ? '.' : ": {$answer->sentence()}"),
            );
            if ($overruled !== '') {
                JournalEntry::write($box ?? Network::home(), 'overruled', "{$overruled} Overruled: {$because}");
            }

            return $box;
        });
    }

    /** A plan is kept once: the same choices again, while their box has no name yet, mean the same box. */
    private function keptAlready(Choices $choices): ?Decision
    {
        if ($choices->onDesk() || $choices->host() !== null) {
            return null;
        }

        return Decision::query()
            ->whereHas('box', fn (Builder $box) => $box->whereNull('name')->where('stage', Stage::Planned))
            ->with('box')
            ->get()
            ->first(fn (Decision $decision): bool => $decision->choices == $choices->toArray());
    }

    private function newBox(Choices $choices): Box
    {
        $box = Box::query()->create(['network_id' => Network::home()->id] + $choices->forBox());
        $box->jobs()->createMany($this->jobs($choices));

        return $box;
    }

    /** @return list<array{job: string, school: string, page_port: ?int}> */
    private function jobs(Choices $choices): array
    {
        $plan = $choices->input();
        $new = array_values(
            array_filter($plan->jobs, fn (Job $job): bool => in_array($job->id, $choices->jobs(), true)),
        );
        $ports = PagePorts::propose($new);

        return array_map(
            fn (Job $job): array => [
                'job' => $job->id,
                'school' => $plan->school($job)->id,
                'page_port' => $ports[$job->id],
            ],
            $new,
        );
    }

    /**
     * The variants for the same job go into the decision and no longer stand beside one another.
     *
     * @return list<array{sentence: string, because: string, choices: array<string, string>}>
     */
    private function takeTried(Choices $decided, Household $household): array
    {
        $tried = [];
        foreach (Plan::query()->orderBy('id')->get() as $plan) {
            if (($plan->choices['job'] ?? '') === $decided->get('job')) {
                $choices = Choices::from(Request::create('/', 'GET', $plan->choices), $this->catalogue, $household);
                $tried[] = [
                    'sentence' => PlanAnswer::to($choices->input())->sentence(),
                    'because' => $plan->dropped_because,
                    'choices' => $choices->toArray(),
                ];
                $plan->delete();
            }
        }

        return $tried;
    }
}
