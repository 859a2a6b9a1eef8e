<?php

declare(strict_types=1);

namespace App\Ground;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Dependency;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Service;
use App\Models\User;
use App\Upkeep\Calendar;
use Burrow\BringUp\Step\DoorState;
use Burrow\Catalogue\Job\Job;
use Burrow\Ground\Draw\ChamberState;
use Burrow\Ground\Draw\Dwelling;
use Burrow\Ground\Outlook;
use Burrow\Ground\Standing;
use Burrow\Household\Hearing;
use Burrow\Household\HearingState;
use Burrow\Household\Stage;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Prefix;
use Burrow\Upkeep\Due;
use Illuminate\Support\Collection;

/** The boxes of the network as the front page needs them, in a number of queries that does not grow with them. */
final readonly class GroundFacts
{
    /** @var Collection<int, Box> */
    public Collection $boxes;

    /** @var array<int, Due> */
    private array $dues;

    /** @var array<int, Hearing> by box id */
    private array $hearings;

    public function __construct(private Network $network, private Catalogue $catalogue, Calendar $calendar, private ?User $user)
    {
        $this->boxes = Box::query()
            ->where('network_id', $network->id)
            ->whereNotNull('name')
            ->with(['jobs', 'openings', 'services', 'dependencies.provider'])
            ->withCount('passedOver')
            ->orderBy('id')
            ->get();
        $this->dues = $calendar->toldTo($user, $this->standing());
        $this->hearings = $this->boxes->mapWithKeys(fn (Box $box): array => [$box->id => $box->hearing()])->all();
    }

    /** @return list<Dwelling> */
    public function dwellings(): array
    {
        return array_values(
            $this->boxes
                ->map(
                    fn (Box $box): Dwelling => new Dwelling(
                        (string) $box->name,
                        $box->address ?? 'no address yet',
                        $this->note($box),
                        match (true) {
                            ! $box->stage->stands() => ChamberState::Building,
                            $this->hearings[$box->id]->state === HearingState::Silent => ChamberState::Silent,
                            $this->hearings[$box->id]->state === HearingState::Answers => ChamberState::Answers,
                            default => ChamberState::Unheard,
                        },
                        $this->openings($box),
                        $box->dependencies
                            ->mapWithKeys(fn (Dependency $dependency): array => [(string) $dependency->provider->name => $dependency->what])
                            ->all(),
                    ),
                )
                ->all(),
        );
    }

    public function outlook(): Outlook
    {
        return new Outlook(
            array_values(
                $this->standing()
                    ->map(
                        fn (Box $box): Standing => new Standing(
                            (string) $box->name,
                            $this->hearings[$box->id],
                            $this->openings($box),
                            $this->jobs($box)->contains(fn (Job $job): bool => $job->facesWorld),
                            (string) $this->jobs($box, finished: true)
                                ->map(fn (Job $job): string => $job->servesAll)
                                ->first(fn (string $what): bool => $what !== ''),
                            array_values(
                                $box->services
                                    ->where('state', '!=', DoorState::Open->value)
                                    ->whereNotNull('state')
                                    ->map(fn (Service $service): string => "{$service->port} {$service->protocol}, {$service->purpose}: {$service->state}")
                                    ->all(),
                            ),
                            (int) $box->getAttribute('passed_over_count') + $box->jobs->whereNull('finished_at')->count(),
                            $this->covers($box),
                        ),
                    )
                    ->all(),
            ),
            Findings::of(...array_map(fn (Due $due): Finding => $due->finding(), array_values($this->dues))),
            $this->user?->isKeeper() === true,
        );
    }

    /** @return Collection<int, Box> */
    private function standing(): Collection
    {
        return $this->boxes->filter(fn (Box $box): bool => $box->stage->stands())->values();
    }

    private function covers(Box $box): bool
    {
        $address = $box->ipv4();

        return $address === null || (Prefix::tryParse($this->network->prefix)?->contains($address) ?? false);
    }

    /** @return Collection<int, Job> */
    private function jobs(Box $box, bool $finished = false): Collection
    {
        return $box->jobs->filter(fn (BoxJob $job): bool => ! $finished || $job->finished_at !== null)->map(fn ($job): ?Job => $this->catalogue->job($job->job))->filter()->values();
    }

    private function note(Box $box): string
    {
        $jobs = $this->jobs($box)->map(fn (Job $job): string => $job->short)->implode(', ');
        $due = $this->dues[$box->id] ?? null;

        return match (true) {
            ! $box->stage->stands() => $jobs.' · new',
            $this->hearings[$box->id]->state !== HearingState::Answers => $this->hearings[$box->id]->words(),
            $box->stage === Stage::Unfinished => $jobs.' · not finished',
            $due !== null && ($due->isOverdue() || $due->isSoon()) => $jobs.' · due',
            default => $jobs,
        };
    }

    /** @return list<string> */
    private function openings(Box $box): array
    {
        return array_values($box->openings->map(fn (Opening $opening): string => $opening->outside_port.' '.$opening->protocol)->all());
    }
}
