<?php

declare(strict_types=1);

namespace App\Ground;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\Network;
use App\Models\Opening;
use App\Upkeep\Calendar;
use Burrow\Drawing\ChamberState;
use Burrow\Drawing\Dwelling;
use Burrow\Ground\Outlook;
use Burrow\Ground\Standing;
use Burrow\Quantity\Duration;
use Burrow\Role\Role;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Upkeep\Due;
use Illuminate\Support\Collection;

/** The boxes of the network as the front page needs them, in a number of queries that does not grow with them. */
final readonly class GroundFacts
{
    /** @var Collection<int, Box> */
    public Collection $boxes;

    /** @var array<int, Due> */
    private array $dues;

    public function __construct(private Network $network, private Catalogue $catalogue, Calendar $calendar)
    {
        $this->boxes = Box::query()
            ->where('network_id', $network->id)
            ->whereNotNull('name')
            ->with(['jobs', 'openings', 'dependencies.provider'])
            ->orderBy('id')
            ->get();
        $this->dues = $calendar->of($this->inService());
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
                            $box->stage !== Box::IN_SERVICE => ChamberState::Building,
                            $box->isSilent() => ChamberState::Silent,
                            default => ChamberState::Answers,
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
                $this->inService()
                    ->map(
                        fn (Box $box): Standing => new Standing(
                            (string) $box->name,
                            $box->silent_since?->setTimezone($this->network->time_zone)->toDateTimeImmutable(),
                            $this->openings($box),
                            $this->roles($box)->contains(fn (Role $role): bool => $role->facesWorld),
                            (string) $this->roles($box)
                                ->map(fn (Role $role): string => $role->servesAll)
                                ->first(fn (string $what): bool => $what !== ''),
                        ),
                    )
                    ->all(),
            ),
            Findings::of(...array_map(fn (Due $due): Finding => $due->finding(), array_values($this->dues))),
        );
    }

    /** @return Collection<int, Box> */
    private function inService(): Collection
    {
        return $this->boxes->where('stage', Box::IN_SERVICE)->values();
    }

    /** @return Collection<int, Role> */
    private function roles(Box $box): Collection
    {
        return $box->jobs->map(fn ($job): ?Role => $this->catalogue->role($job->role))->filter()->values();
    }

    private function note(Box $box): string
    {
        $jobs = $this->roles($box)->map(fn (Role $role): string => $role->short)->implode(', ');
        $due = $this->dues[$box->id] ?? null;

        return match (true) {
            $box->stage !== Box::IN_SERVICE => $jobs.' · new',
            $box->isSilent() => 'silent '.Duration::seconds((float) $box->silent_since?->diffInSeconds(now())),
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
