<?php

declare(strict_types=1);

use Burrow\Household\Box;
use Burrow\Household\BoxParts;
use Burrow\Household\Copying;
use Burrow\Household\Dependency;
use Burrow\Household\DoorState;
use Burrow\Household\Hearing;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Household\Listing;
use Burrow\Household\Opening;
use Burrow\Household\Records;
use Burrow\Household\Service;
use Burrow\Household\Stage;
use Burrow\Household\WayIn;
use Burrow\Net\Port;
use Burrow\Net\Protocol;

// A house in the core's own words, for the tests of what the floors have to say about it. It is Wednesday, 15:00.

const THREE_O_CLOCK = '2026-11-25 15:00';

/** A box that was asked a minute before 15:00, and is silent since then or answers. */
function heard(?string $silentSince = null, string $asked = '2026-11-25 14:59'): Hearing
{
    $asked = new DateTimeImmutable($asked);

    return Hearing::of(
        $asked,
        $silentSince === null ? $asked : null,
        $silentSince === null ? null : new DateTimeImmutable($silentSince),
        new DateTimeImmutable(THREE_O_CLOCK),
    );
}

/**
 * A box in service that answers; what is said otherwise goes by the names of the constructor, and "job" is an id of
 * the catalogue.
 */
function dweller(string $name, mixed ...$with): Box
{
    $jobs = array_map(
        fn (string $id): HeldJob => new HeldJob(catalogue('job')[$id]),
        (array) ($with['job'] ?? []),
    );
    unset($with['job']);

    return new Box(
        ...[
            'id' => crc32($name),
            'name' => $name,
            'stage' => Stage::InService,
            'hearing' => heard(),
            'jobs' => $jobs,
            'parts' => new BoxParts(),
            ...$with,
        ],
    );
}

/**
 * @param  list<Box>  $boxes
 * @param  array<string, list<string|Service>>  $ports  box => "80 tcp page" or "80 tcp page refused"
 * @param  array<string, list<string|Opening>>  $openings  box => "8443 tcp" or "8443 tcp 2026-11-01"
 * @param  array<string, list<string>>  $dependsOn  box => names of boxes
 * @param  list<Listing>  $listings
 * @param  list<WayIn>  $waysIn
 * @param  array{fills?: list<Burrow\Household\Fill>, drives?: list<Burrow\Household\DriveHealth>}  $stores
 * @param  list<Burrow\Household\Trial>  $trials
 * @param  array{filters?: list<Burrow\Household\PacketFilter>, groups?: list<Burrow\Household\EngineGroup>, certificates?: list<Burrow\Household\Certificate>, name?: Burrow\Household\OutsideName,
 *     copyings?: list<Burrow\Household\Copying>, pairs?: list<Burrow\Household\FolderPair>,
 *     names?: list<Burrow\Household\NameCheck>, resolvers?: Burrow\Household\Resolvers,
 *     hours?: list<Burrow\Household\Hours>, reports?: list<Burrow\Household\Reported>,
 *     cares?: list<Burrow\Household\Care>, releases?: array<string, DateTimeImmutable>,
 *     retired?: list<Burrow\Household\RetiredBox>}  $told
 */
function household(
    array $boxes,
    array $ports = [],
    array $openings = [],
    array $dependsOn = [],
    array $listings = [],
    array $waysIn = [],
    array $stores = [],
    array $trials = [],
    array $told = [],
): Household {
    $all = [$boxes, $ports, $openings, $dependsOn, $listings, $waysIn, $stores, $trials, $told];
    $records = new class(...$all) implements Records
    {
        public array $read = [];

        public function __construct(
            private array $boxes,
            private array $ports,
            private array $openings,
            private array $dependsOn,
            private array $listings,
            private array $waysIn,
            private array $stores,
            private array $trials,
            private array $told,
        ) {
        }

        public function boxes(): array
        {
            $this->read[] = 'boxes';

            return $this->boxes;
        }

        public function services(): array
        {
            $this->read[] = 'services';

            return self::each($this->ports, function (string $box, string|Service $line): Service {
                if ($line instanceof Service) {
                    return $line;
                }
                [$port, $protocol, $purpose, $state] = [...explode(' ', $line), ''];

                return new Service(
                    $box,
                    Port::of((int) $port),
                    Protocol::from($protocol),
                    $purpose,
                    DoorState::tryFrom($state),
                );
            });
        }

        public function openings(): array
        {
            return self::each($this->openings, function (string $box, string|Opening $line): Opening {
                if ($line instanceof Opening) {
                    return $line;
                }
                [$port, $protocol, $review] = [...explode(' ', $line), ''];

                return new Opening(
                    $box,
                    (int) $port,
                    $protocol,
                    $review === '' ? null : new DateTimeImmutable($review),
                );
            });
        }

        public function fills(): array
        {
            return $this->stores['fills'] ?? [];
        }

        public function drives(): array
        {
            return $this->stores['drives'] ?? [];
        }

        public function waysIn(): array
        {
            return $this->waysIn;
        }

        public function trials(): array
        {
            return $this->trials;
        }

        public function packetFilters(): array
        {
            return $this->told['filters'] ?? [];
        }

        public function engineGroups(): array
        {
            return $this->told['groups'] ?? [];
        }

        public function certificates(): array
        {
            return $this->told['certificates'] ?? [];
        }

        public function cares(): array
        {
            return $this->told['cares'] ?? [];
        }

        public function releases(): array
        {
            return $this->told['releases'] ?? [];
        }

        public function reports(): array
        {
            return $this->told['reports'] ?? [];
        }

        public function nameChecks(): array
        {
            return $this->told['names'] ?? [];
        }

        public function resolvers(): Burrow\Household\Resolvers
        {
            return $this->told['resolvers'] ?? new Burrow\Household\Resolvers();
        }

        public function folderPairs(): array
        {
            return $this->told['pairs'] ?? [];
        }

        public function copyings(): array
        {
            // All is copied elsewhere and was brought back, unless a test says otherwise.
            return $this->told['copyings'] ??
                array_map(
                    fn (Box $box): Copying => new Copying(
                        $box->id,
                        $box->name,
                        $box->name,
                        'copies.example.net',
                        elsewhere: true,
                        encrypted: true,
                        keyKept: true,
                        ran: new DateTimeImmutable(THREE_O_CLOCK),
                        tried: new DateTimeImmutable(THREE_O_CLOCK),
                        worked: true,
                    ),
                    $this->boxes,
                );
        }

        public function networks(): array
        {
            return $this->told['networks'] ?? [];
        }

        public function retired(): array
        {
            return $this->told['retired'] ?? [];
        }

        public function hours(): array
        {
            return $this->told['hours'] ?? [];
        }

        public function outsideName(): ?Burrow\Household\OutsideName
        {
            return $this->told['name'] ?? null;
        }

        public function listings(): array
        {
            return $this->listings;
        }

        public function dependencies(): array
        {
            return self::each(
                $this->dependsOn,
                fn (string $box, string $on): Dependency => new Dependency($box, $on, 'names'),
            );
        }

        private static function each(array $by, callable $make): array
        {
            $all = [];
            foreach ($by as $box => $lines) {
                foreach ($lines as $line) {
                    $all[] = $make($box, $line);
                }
            }

            return $all;
        }
    };

    return new Household($records, shelf(), new DateTimeImmutable(THREE_O_CLOCK));
}
