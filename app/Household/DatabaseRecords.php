<?php

declare(strict_types=1);

namespace App\Household;

use App\Models\Network;
use App\Models\RunStep;
use Burrow\Catalogue\Shelf;
use Burrow\Household\Access;
use Burrow\Household\Box;
use Burrow\Household\BoxParts;
use Burrow\Household\Certificate;
use Burrow\Household\Copying;
use Burrow\Household\Dependency;
use Burrow\Household\DoorState;
use Burrow\Household\DriveHealth;
use Burrow\Household\EngineGroup;
use Burrow\Household\Fill;
use Burrow\Household\FolderPair;
use Burrow\Household\Hearing;
use Burrow\Household\HeldJob;
use Burrow\Household\Hours;
use Burrow\Household\Listing;
use Burrow\Household\NameCheck;
use Burrow\Household\NameExpected;
use Burrow\Household\Opening;
use Burrow\Household\OutsideName;
use Burrow\Household\PacketFilter;
use Burrow\Household\Records;
use Burrow\Household\Reported;
use Burrow\Household\Resolvers;
use Burrow\Household\RetiredBox;
use Burrow\Household\Service;
use Burrow\Household\Stage;
use Burrow\Household\Trial;
use Burrow\Household\WayIn;
use Burrow\Household\WhoReaches;
use Burrow\Net\Address;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The picture of the house from the database: one query a part, rows without models. Rows that cannot be so are left
 * out.
 */
final class DatabaseRecords implements Records
{
    /** Days of samples that a trend is made of. */
    private const LOOKED_BACK = 730;

    /** Ports that were tried from outside; more are not looked at. */
    private const MOST_TRIALS = 500;

    private const MOST_CERTIFICATES = 2000;

    private const MOST_HOURS = 200;

    private const MOST_RETIRED = 200;

    private const MOST_PAIRS = 500;

    private const MOST_CHECKS = 1000;

    /** Samples of all file systems that are read for one picture of the house. */
    private const SAMPLES = 20_000;

    private readonly DateTimeZone $zone;

    /** @var Collection<int, stdClass>|null */
    private ?Collection $tellings = null;

    /** @var array<int, string> whom a box asks further for names, as it was answered, by the box's id */
    private array $upstreams = [];

    /** @var array<string, list<string>>|null the same by the box's name; null while boxes were not read */
    private ?array $asks = null;

    /** @var array<string, ?DateTimeImmutable> what many rows share is read once */
    private array $times = [];

    public function __construct(
        private readonly Network $network,
        private readonly Shelf $shelf,
        private readonly DateTimeImmutable $now,
    ) {
        $this->zone = $now->getTimezone();
    }

    public function boxes(): array
    {
        $jobs = $this->jobs();
        $prefix = Prefix::tryParse($this->network->prefix);
        $rows = DB::table('boxes')
            ->where('network_id', $this->network->id)
            ->where(self::here(...))
            ->orderBy('id')
            ->select('*')
            ->selectSub(
                DB::table('run_steps')
                    ->join('runs', 'runs.id', '=', 'run_steps.run_id')
                    ->whereColumn('runs.box_id', 'boxes.id')
                    ->where('run_steps.state', RunStep::SKIPPED)
                    ->selectRaw('COUNT(*)'),
                'passed_over',
            )
            ->get();

        $this->asks = [];
        foreach ($rows as $row) {
            if (isset($this->upstreams[(int) $row->id])) {
                $this->asks[(string) $row->name] = self::addresses($this->upstreams[(int) $row->id]);
            }
        }

        return array_values(
            $rows->map(fn (stdClass $row): Box => $this->box($row, $jobs[$row->id] ?? [], $prefix))->all(),
        );
    }

    public function services(): array
    {
        $rows = DB::table('services')
            ->join('boxes', 'boxes.id', '=', 'services.box_id')
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->orderBy('services.port')
            ->orderBy('services.box_id')
            ->get([
                'boxes.name',
                'services.id',
                'services.port',
                'services.protocol',
                'services.purpose',
                'services.state',
                'services.looked_at',
                'services.bound',
                'services.reach',
                'services.access',
                'services.scheme',
                'services.path',
                'services.inner_port',
                'services.sources',
            ]);
        $services = $rows->map(function (stdClass $row): ?Service {
            $port = Port::tryOf((int) $row->port);
            $protocol = Protocol::tryFrom((string) $row->protocol);

            return $port === null || $protocol === null
                ? null
                : new Service(
                    (string) $row->name,
                    $port,
                    $protocol,
                    (string) $row->purpose,
                    DoorState::tryFrom((string) $row->state),
                    $this->time($row->looked_at),
                    is_string($row->bound) ? Address::standard($row->bound) : null,
                    WhoReaches::tryFrom((string) $row->reach) ?? WhoReaches::House,
                    Access::tryFrom((string) $row->access),
                    (string) $row->scheme,
                    (string) $row->path,
                    Port::tryOf((int) $row->inner_port)?->number,
                    (int) $row->id,
                    array_values(array_filter(explode(' ', (string) $row->sources))),
                );
        });

        return array_values(array_filter($services->all()));
    }

    public function openings(): array
    {
        $rows = DB::table('openings')
            ->join('boxes', 'boxes.id', '=', 'openings.box_id')
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->orderBy('openings.id')
            ->get([
                'boxes.name',
                'openings.id',
                'openings.outside_port',
                'openings.inside_port',
                'openings.protocol',
                'openings.review_on',
                'openings.purpose',
                'openings.owner',
                'openings.reason',
            ]);

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Opening => new Opening(
                        (string) $row->name,
                        (int) $row->outside_port,
                        (string) $row->protocol,
                        $this->day($row->review_on),
                        Port::tryOf((int) $row->inside_port)?->number,
                        (string) $row->purpose,
                        (string) $row->owner,
                        (string) $row->reason,
                        (int) $row->id,
                    ),
                )
                ->all(),
        );
    }

    public function fills(): array
    {
        $by = [];
        foreach (
            DB::table('fill_samples')
                ->join('boxes', 'boxes.id', '=', 'fill_samples.box_id')
                ->where('boxes.network_id', $this->network->id)
                ->where(self::here(...))
                ->where('fill_samples.taken_at', '>=', now()->subDays(self::LOOKED_BACK))
                ->orderBy('fill_samples.taken_at')
                ->limit(self::SAMPLES)
                ->get([
                    'boxes.name',
                    'fill_samples.mount',
                    'fill_samples.bytes',
                    'fill_samples.used_bytes',
                    'fill_samples.taken_at',
                ]) as $row
        ) {
            $at = $this->time($row->taken_at);
            if ($at !== null && (int) $row->bytes > 0) {
                $by["{$row->name} {$row->mount}"][] = [$row, [$at->getTimestamp(), (int) $row->used_bytes]];
            }
        }
        $fills = [];
        foreach ($by as $rows) {
            $last = $rows[count($rows) - 1][0];
            $fills[] = new Fill(
                (string) $last->name,
                (string) $last->mount,
                (int) $last->bytes,
                array_column($rows, 1),
            );
        }

        return $fills;
    }

    public function drives(): array
    {
        $by = [];
        foreach (
            DB::table('health_samples')
                ->join('boxes', 'boxes.id', '=', 'health_samples.box_id')
                ->where('boxes.network_id', $this->network->id)
                ->where(self::here(...))
                ->leftJoin('media', 'media.serial', '=', 'health_samples.serial')
                ->orderBy('health_samples.taken_at')
                ->limit(self::SAMPLES)
                ->get(['boxes.name', 'health_samples.*', 'media.warranty_until']) as $row
        ) {
            $by["{$row->name} {$row->serial}"][] = $row;
        }
        $drives = [];
        $number = fn (mixed $kept): ?int => is_numeric($kept) ? (int) $kept : null;
        foreach ($by as $rows) {
            $last = $rows[count($rows) - 1];
            $drives[] = new DriveHealth(
                (string) $last->name,
                (string) $last->serial,
                (string) $last->model,
                $this->time($last->taken_at)?->getTimestamp() ?? 0,
                $last->passed === null ? null : (bool) $last->passed,
                $number($last->hours),
                $number($last->celsius),
                $number($last->reallocated),
                $number($rows[0]->reallocated),
                $number($last->pending),
                $number($rows[0]->pending),
                $number($last->wear_percent),
                $this->day($last->warranty_until),
            );
        }

        return $drives;
    }

    public function waysIn(): array
    {
        $rows = DB::table('ways_in')
            ->where('network_id', $this->network->id)
            ->whereNull('taken_back_at')
            ->orderBy('id')
            ->get();
        $ways = $rows->map(function (stdClass $row): ?WayIn {
            $given = $this->day($row->given_on);

            return $given === null
                ? null
                : new WayIn(
                    (int) $row->id,
                    (string) $row->device,
                    (string) $row->holder,
                    (string) $row->kind,
                    is_string($row->public_key) ? $row->public_key : null,
                    is_string($row->address) ? Address::standard($row->address) : null,
                    $given,
                    $this->time($row->last_came_at),
                    $this->day($row->ends_on),
                );
        });

        return array_values(array_filter($ways->all()));
    }

    public function trials(): array
    {
        $rows = DB::table('outside_trials')
            ->where('network_id', $this->network->id)
            ->orderBy('id')
            ->limit(self::MOST_TRIALS)
            ->get();
        $trials = $rows->map(function (stdClass $row): ?Trial {
            $at = $this->time($row->tried_at);

            return $at === null
                ? null
                : new Trial(
                    (int) $row->port,
                    (string) $row->protocol,
                    (bool) $row->must_answer,
                    (bool) $row->answered,
                    $at,
                );
        });

        return array_values(array_filter($trials->all()));
    }

    public function listings(): array
    {
        $rows = DB::table('listings')
            ->join('boxes', 'boxes.id', '=', 'listings.box_id')
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->get(['boxes.name', 'listings.heard', 'listings.taken_at']);
        $listings = $rows->map(function (stdClass $row): ?Listing {
            $at = $this->time($row->taken_at);

            return $at === null ? null : new Listing((string) $row->name, $at, Told::heard($row->heard));
        });

        return array_values(array_filter($listings->all()));
    }

    public function packetFilters(): array
    {
        return $this->told(
            'firewall',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?PacketFilter => Told::filter(
                $box,
                $at,
                $told,
            ),
        );
    }

    public function reports(): array
    {
        return $this->told(
            'report',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?Reported => Told::report($box, $at, $told),
        );
    }

    public function engineGroups(): array
    {
        return $this->told(
            'groups',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?EngineGroup => Told::group(
                $box,
                $at,
                $told,
            ),
        );
    }

    public function certificates(): array
    {
        $rows = DB::table('certificates')->orderBy('ends_at')->limit(self::MOST_CERTIFICATES)->get();
        $pages = [];
        foreach ($rows->isEmpty() ? [] : $this->services() as $service) {
            $pages[$service->id] = $service;
        }
        $certificates = [];
        foreach ($rows as $row) {
            $page = $pages[(int) $row->service_id] ?? null;
            $seen = $this->time($row->seen_at);
            if ($page !== null && $seen !== null) {
                $certificates[] = new Certificate(
                    $page,
                    (string) $row->sha256,
                    (string) $row->holder,
                    (string) $row->issuer,
                    Told::texts($row->names),
                    $this->time($row->starts_at),
                    $this->time($row->ends_at),
                    $seen,
                    $this->time($row->changed_at),
                    $this->time($row->before_ended_at),
                );
            }
        }

        return $certificates;
    }

    public function nameChecks(): array
    {
        return array_values(
            DB::table('name_checks')
                ->join('boxes', 'boxes.id', '=', 'name_checks.box_id')
                ->where('boxes.network_id', $this->network->id)
                ->where(self::here(...))
                ->orderBy('name_checks.id')
                ->limit(self::MOST_CHECKS)
                ->get(['name_checks.*', 'boxes.name AS box'])
                ->map(
                    fn (stdClass $row): NameCheck => new NameCheck(
                        (int) $row->id,
                        (string) $row->box,
                        (string) $row->name,
                        NameExpected::tryFrom((string) $row->expected) ?? NameExpected::Answered,
                        (string) $row->via,
                        (string) $row->said,
                        $row->held === null ? null : (bool) $row->held,
                        $this->time($row->asked_at),
                    ),
                )
                ->all(),
        );
    }

    public function resolvers(): Resolvers
    {
        $this->asks ?? $this->boxes();

        return new Resolvers(
            (string) $this->network->router,
            self::addresses((string) $this->network->dns),
            self::addresses((string) $this->network->router_asks),
            $this->asks ?? [],
        );
    }

    /** @return list<string> in their standard form; words that are none are left out */
    private static function addresses(string $typed): array
    {
        return array_values(
            array_filter(
                array_map(
                    Address::standard(...),
                    preg_split('/[\s,;]+/', $typed, 20, PREG_SPLIT_NO_EMPTY) ?: [],
                ),
            ),
        );
    }

    public function folderPairs(): array
    {
        return array_values(
            DB::table('folder_pairs')
                ->join('boxes', 'boxes.id', '=', 'folder_pairs.box_id')
                ->where('boxes.network_id', $this->network->id)
                ->where(self::here(...))
                ->orderBy('folder_pairs.id')
                ->limit(self::MOST_PAIRS)
                ->get(['folder_pairs.*', 'boxes.name'])
                ->map(
                    fn (stdClass $row): FolderPair => new FolderPair(
                        (int) $row->id,
                        (string) $row->name,
                        (string) $row->folder,
                        (string) $row->peer,
                        $row->keeps_days === null ? null : (int) $row->keeps_days,
                        $this->time($row->in_step_at),
                        $this->time($row->differed_at),
                        $row->conflicts === null ? null : (int) $row->conflicts,
                    ),
                )
                ->all(),
        );
    }

    public function copyings(): array
    {
        // The last drill of each counts.
        $last =
            'SELECT id FROM restore_drills d WHERE d.backup_id = backups.id ORDER BY tried_at DESC, id DESC LIMIT 1';
        $rows = DB::table('backups')
            ->join('boxes', 'boxes.id', '=', 'backups.box_id')
            ->leftJoin('boxes AS targets', 'targets.id', '=', 'backups.target_box_id')
            ->leftJoin('restore_drills AS drills', 'drills.id', '=', DB::raw("({$last})"))
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->orderBy('backups.id')
            ->get([
                'backups.*',
                'boxes.name AS box',
                'targets.name AS target',
                'drills.tried_at',
                'drills.worked',
                'drills.minutes',
            ]);

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Copying => new Copying(
                        (int) $row->id,
                        (string) $row->box,
                        (string) $row->name,
                        (string) ($row->target ?? $row->target_host),
                        (bool) $row->elsewhere,
                        $row->school === 'archive',
                        (string) $row->key_kept_at !== '',
                        $this->time($row->ran_at),
                        $this->time($row->failed_at),
                        (string) $row->failed_because,
                        $this->time($row->tried_at),
                        (bool) $row->worked,
                        is_numeric($row->minutes) ? (int) $row->minutes : null,
                    ),
                )
                ->all(),
        );
    }

    public function hours(): array
    {
        $time = '/^([01]\d|2[0-3]):[0-5]\d$/D';
        $rows = DB::table('hours')
            ->where('network_id', $this->network->id)
            ->orderBy('id')
            ->limit(self::MOST_HOURS)
            ->get();

        return array_values(
            $rows
                ->filter(
                    fn (stdClass $row): bool => preg_match($time, (string) $row->from) === 1 &&
                        preg_match($time, (string) $row->to) === 1,
                )
                ->map(
                    fn (stdClass $row): Hours => new Hours(
                        (int) $row->id,
                        $row->kind === Hours::WINDOW ? Hours::WINDOW : Hours::BUSY,
                        (string) $row->what,
                        array_values(array_intersect(Hours::DAYS, explode(' ', (string) $row->days))),
                        (string) $row->from,
                        (string) $row->to,
                        Told::texts($row->boxes),
                    ),
                )
                ->all(),
        );
    }

    public function retired(): array
    {
        $rows = DB::table('boxes')
            ->where('network_id', $this->network->id)
            ->where('stage', Stage::Retired->value)
            ->orderBy('id')
            ->limit(self::MOST_RETIRED)
            ->get(['id', 'name', 'retired_at', 'wipe_on', 'wiped_at']);
        $boxes = $rows->map(function (stdClass $row): ?RetiredBox {
            $retired = $this->time($row->retired_at);

            return $retired === null
                ? null
                : new RetiredBox(
                    (int) $row->id,
                    (string) $row->name,
                    $retired,
                    $this->day($row->wipe_on),
                    $row->wiped_at !== null,
                );
        });

        return array_values(array_filter($boxes->all()));
    }

    public function outsideName(): ?OutsideName
    {
        $network = $this->network->getAttributes();
        $name = $network['outside_name'] ?? null;

        return is_string($name) && $name !== ''
            ? new OutsideName(
                $name,
                Address::standard((string) $this->network->wan) ?? '',
                is_string($network['name_led_to'] ?? null) ? $network['name_led_to'] : null,
                $this->time($network['name_asked_at'] ?? null),
                $this->time($network['name_wrong_since'] ?? null),
            )
            : null;
    }

    public function dependencies(): array
    {
        $rows = DB::table('box_dependencies')
            ->join('boxes', 'boxes.id', '=', 'box_dependencies.box_id')
            ->join('boxes AS providers', 'providers.id', '=', 'box_dependencies.on_box_id')
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->whereNotNull('providers.name')
            ->where('providers.stage', '!=', Stage::Retired->value)
            ->orderBy('box_dependencies.id')
            ->get(['boxes.name', 'providers.name AS provider', 'box_dependencies.what']);

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Dependency => new Dependency(
                        (string) $row->name,
                        (string) $row->provider,
                        (string) $row->what,
                    ),
                )
                ->all(),
        );
    }

    /**
     * What boxes told of themselves, of one kind; what cannot be so is left out.
     *
     * @template T of object
     *
     * @param  callable(string, DateTimeImmutable, mixed): ?T  $make  of a box's name, a time and the text that was kept
     * @return list<T>
     */
    private function told(string $kind, callable $make): array
    {
        $all = [];
        $this->tellings ??= DB::table('tellings')
            ->join('boxes', 'boxes.id', '=', 'tellings.box_id')
            ->where('boxes.network_id', $this->network->id)
            ->where(self::here(...))
            ->get(['boxes.name', 'tellings.kind', 'tellings.told', 'tellings.taken_at']);
        foreach ($this->tellings->where('kind', $kind) as $row) {
            $at = $this->time($row->taken_at);
            $one = $at === null ? null : $make((string) $row->name, $at, $row->told);
            $one === null || ($all[] = $one);
        }

        return $all;
    }

    /**
     * What a box is made of, from its row.
     *
     * @param  array<string, mixed>  $row
     */
    public static function parts(array $row): BoxParts
    {
        $id = fn (string $field): ?string => is_string($row[$field] ?? null) && $row[$field] !== ''
            ? $row[$field]
            : null;

        return new BoxParts(
            board: $id('board'),
            supply: $id('supply'),
            cable: $id('cable'),
            drive: $id('drive'),
            link: $id('link'),
            image: $id('image'),
            card: $id('card'),
            case: $id('case'),
            hub: $id('hub'),
            cooling: $id('cooling'),
            addOn: $id('addon'),
            imageFrom: $id('image_from'),
            plugged: explode(',', $id('plugged') ?? ''),
            startFrom: $id('start'),
        );
    }

    /** Boxes that have a name and were not taken out of service: nobody else has a part in the picture. */
    private static function here(Builder $boxes): void
    {
        $boxes->whereNotNull('boxes.name')->where('boxes.stage', '!=', Stage::Retired->value);
    }

    /** @param  list<stdClass>  $jobs  rows of box_jobs */
    private function box(stdClass $row, array $jobs, ?Prefix $prefix): Box
    {
        $address = Ipv4::tryParse((string) $row->address);
        $held = [];
        foreach ($jobs as $job) {
            $known = $this->shelf->jobs[$job->job] ?? null;
            if ($known !== null) {
                $held[] = new HeldJob($known, (string) $job->school, $job->finished_at !== null);
            }
        }

        return new Box(
            id: (int) $row->id,
            name: (string) $row->name,
            stage: Stage::tryFrom((string) $row->stage) ?? Stage::Planned,
            hearing: Hearing::of(
                $this->time($row->asked_at),
                $this->time($row->answered_at),
                $this->time($row->silent_since),
                $this->now,
            ),
            address: $address,
            covered: $address === null || $prefix?->contains($address) === true,
            jobs: $held,
            unfinishedJobs: count(array_filter($jobs, fn (stdClass $job): bool => $job->finished_at === null)),
            passedOver: (int) $row->passed_over,
            updated: $this->time($row->updated_system_at),
            fedBy: (string) $row->fed_by,
            parts: self::parts((array) $row),
        );
    }

    /** @return array<int, list<stdClass>> rows of box_jobs by box */
    private function jobs(): array
    {
        $by = [];
        foreach (
            DB::table('box_jobs')
                ->orderBy('id')
                ->get([
                    'box_id',
                    'job',
                    'school',
                    'finished_at',
                    DB::raw("JSON_VALUE(answers, '$.upstream') AS upstream"),
                ]) as $row
        ) {
            is_string($row->upstream) && ($this->upstreams[(int) $row->box_id] = $row->upstream);
            $by[(int) $row->box_id][] = $row;
        }

        return $by;
    }

    /** A moment as the database keeps it, which is UTC. */
    private function time(mixed $kept): ?DateTimeImmutable
    {
        if (! is_string($kept)) {
            return null;
        }
        $kept = substr($kept, 0, 19);
        if (! array_key_exists($kept, $this->times)) {
            $time = DateTimeImmutable::createFromFormat('Y-m-d H:i:s', $kept, new DateTimeZone('UTC'));
            $this->times[$kept] = $time === false ? null : $time->setTimezone($this->zone);
        }

        return $this->times[$kept];
    }

    private function day(mixed $kept): ?DateTimeImmutable
    {
        $day = is_string($kept)
            ? DateTimeImmutable::createFromFormat('!Y-m-d', substr($kept, 0, 10), $this->zone)
            : false;

        return $day === false ? null : $day;
    }
}
