<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Catalogue\Shelf;
use DateTimeImmutable;

/** What is so in this house, as one picture: each part is read when it is first asked for, and once. */
final class Household
{
    /** @var list<Box>|null */
    private ?array $boxes = null;

    /** @var array<string, list<Service>>|null by box */
    private ?array $services = null;

    /** @var array<string, list<Opening>>|null by box */
    private ?array $openings = null;

    /** @var array<string, list<Dependency>>|null by box */
    private ?array $dependencies = null;

    /** @var list<Fill>|null */
    private ?array $fills = null;

    /** @var list<DriveHealth>|null */
    private ?array $drives = null;

    /** @var list<WayIn>|null */
    private ?array $waysIn = null;

    /** @var array<string, Listing>|null by box */
    private ?array $listings = null;

    /** @var list<Trial>|null */
    private ?array $trials = null;

    /** @var array<string, PacketFilter>|null by box */
    private ?array $filters = null;

    /** @var list<EngineGroup>|null */
    private ?array $engineGroups = null;

    /** @var list<Certificate>|null */
    private ?array $certificates = null;

    /** @var array<string, DateTimeImmutable>|null */
    private ?array $releases = null;

    /** @var array<string, Reported>|null */
    private ?array $reports = null;

    /** @var list<NameCheck>|null */
    private ?array $nameChecks = null;

    private ?Resolvers $resolvers = null;

    /** @var list<HouseNetwork>|null */
    private ?array $networks = null;

    /** @var list<FolderPair>|null */
    private ?array $folderPairs = null;

    /** @var list<Copying>|null */
    private ?array $copyings = null;

    /** @var list<RetiredBox>|null */
    private ?array $retired = null;

    /** @var list<Hours>|null */
    private ?array $hours = null;

    /** @param  DateTimeImmutable  $now  in the network's zone */
    public function __construct(
        private readonly Records $records,
        public readonly Shelf $shelf,
        public readonly DateTimeImmutable $now,
    ) {
    }

    /** @return list<Box> those that have a name */
    public function boxes(): array
    {
        return $this->boxes ??= $this->records->boxes();
    }

    /** @return list<HouseNetwork> the home network first */
    public function networks(): array
    {
        return $this->networks ??= $this->records->networks();
    }

    /** @return list<Box> those that stand in the house and are watched */
    public function standing(): array
    {
        return array_values(array_filter($this->boxes(), fn (Box $box): bool => $box->stage->stands()));
    }

    /** @return list<Service> of one box, or of all */
    public function services(?Box $box = null): array
    {
        $this->services ??= self::byBox($this->records->services());

        return self::of($this->services, $box);
    }

    /** @return list<Opening> of one box, or of all */
    public function openings(?Box $box = null): array
    {
        $this->openings ??= self::byBox($this->records->openings());

        return self::of($this->openings, $box);
    }

    /** What a box told last of all that listens on it; null when it never did. */
    public function listing(Box $box): ?Listing
    {
        if ($this->listings === null) {
            $this->listings = [];
            foreach ($this->records->listings() as $listing) {
                $this->listings[$listing->box] = $listing;
            }
        }

        return $this->listings[$box->name] ?? null;
    }

    /** @return list<Trial> the last one of each port that was ever tried from outside */
    public function trials(): array
    {
        return $this->trials ??= $this->records->trials();
    }

    /** The packet filter of a box as it was last told; null when it never was. */
    public function packetFilter(Box $box): ?PacketFilter
    {
        if ($this->filters === null) {
            $this->filters = [];
            foreach ($this->records->packetFilters() as $filter) {
                $this->filters[$filter->box] = $filter;
            }
        }

        return $this->filters[$box->name] ?? null;
    }

    /** @return list<EngineGroup> of each box that ever told who is in it */
    public function engineGroups(): array
    {
        return $this->engineGroups ??= $this->records->engineGroups();
    }

    /** @return list<Certificate> of pages that were ever asked for theirs */
    public function certificates(): array
    {
        return $this->certificates ??= $this->records->certificates();
    }

    /** @return list<Care> what the household does by itself, again and again */
    public function cares(): array
    {
        return $this->records->cares();
    }

    /** Until when a release gets updates that mend holes; null where that is not known. */
    public function supportEnds(string $codename): ?DateTimeImmutable
    {
        $this->releases ??= $this->records->releases();

        return $this->releases[strtolower($codename)] ?? null;
    }

    /** The last report of a box; null when it never sent one. */
    public function report(Box $box): ?Reported
    {
        if ($this->reports === null) {
            $this->reports = [];
            foreach ($this->records->reports() as $one) {
                $this->reports[$one->box] = $one;
            }
        }

        return $this->reports[$box->name] ?? null;
    }

    /** @return list<NameCheck> names that resolvers of the house are asked again and again */
    public function nameChecks(): array
    {
        return $this->nameChecks ??= $this->records->nameChecks();
    }

    /** Who asks whom for names. */
    public function resolvers(): Resolvers
    {
        return $this->resolvers ??= $this->records->resolvers();
    }

    /** @return list<FolderPair> folders that are kept alike with another machine */
    public function folderPairs(): array
    {
        return $this->folderPairs ??= $this->records->folderPairs();
    }

    /** @return list<Copying> what is copied of the boxes */
    public function copyings(): array
    {
        return $this->copyings ??= $this->records->copyings();
    }

    /** @return list<RetiredBox> */
    public function retired(): array
    {
        return $this->retired ??= $this->records->retired();
    }

    /** @return list<Hours> when boxes are in use, and when somebody may be at work on them */
    public function hours(): array
    {
        return $this->hours ??= $this->records->hours();
    }

    /** Under which name the house is reached from outside; null where it has none. */
    public function outsideName(): ?OutsideName
    {
        return $this->records->outsideName();
    }

    /** @return list<Fill> */
    public function fills(): array
    {
        return $this->fills ??= $this->records->fills();
    }

    /** @return list<DriveHealth> */
    public function drives(): array
    {
        return $this->drives ??= $this->records->drives();
    }

    /** @return list<WayIn> keys that were given and not taken back */
    public function waysIn(): array
    {
        return $this->waysIn ??= $this->records->waysIn();
    }

    /** From how far away a port is reached: as it was meant, or further, where the router leads to it. */
    public function reaches(Service $service): WhoReaches
    {
        if ($service->isLoopback()) {
            return WhoReaches::Box;
        }
        $this->openings ??= self::byBox($this->records->openings());
        foreach ($this->openings[$service->box] ?? [] as $opening) {
            if ($opening->leadsTo($service)) {
                return WhoReaches::World;
            }
        }

        // That the world reaches it was meant only; without an opening the house does.
        return $service->reach === WhoReaches::World ? WhoReaches::House : $service->reach;
    }

    /** @return list<Dependency> of one box, or of all */
    public function dependencies(?Box $box = null): array
    {
        $this->dependencies ??= self::byBox($this->records->dependencies());

        return self::of($this->dependencies, $box);
    }

    /**
     * What hangs on which switch, of all boxes that have a name or of some, by name.
     *
     * @param  ?list<Box>  $boxes
     */
    public function power(?array $boxes = null): PowerGraph
    {
        $boxes ??= $this->boxes();
        usort($boxes, fn (Box $a, Box $b): int => $a->name <=> $b->name);

        return new PowerGraph(
            array_map(
                fn (Box $box): Feed => new Feed(
                    $box->name,
                    $box->fedBy,
                    array_map(fn (Dependency $one): string => $one->on, $this->dependencies($box)),
                ),
                $boxes,
            ),
        );
    }

    /**
     * @template T of Service|Opening|Dependency
     *
     * @param  list<T>  $things
     * @return array<string, list<T>>
     */
    private static function byBox(array $things): array
    {
        $by = [];
        foreach ($things as $thing) {
            $by[$thing->box][] = $thing;
        }

        return $by;
    }

    /**
     * @template T
     *
     * @param  array<string, list<T>>  $by
     * @return list<T>
     */
    private static function of(array $by, ?Box $box): array
    {
        return $box === null ? array_merge(...array_values($by)) : $by[$box->name] ?? [];
    }
}
