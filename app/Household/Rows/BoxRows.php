<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Models\Network;
use App\Models\RunStep;
use Burrow\Catalogue\Shelf;
use Burrow\Household\Box;
use Burrow\Household\BoxParts;
use Burrow\Household\Dependency;
use Burrow\Household\Hearing;
use Burrow\Household\HeldJob;
use Burrow\Household\RetiredBox;
use Burrow\Household\Stage;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;
use DateTimeImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Boxes with their jobs, what they depend on, and those that were taken out of service. */
final class BoxRows extends HouseRows
{
    private const MOST_RETIRED = 200;

    /** @var array<int, string> whom a box asks further for names, as it was answered, by the box's id */
    private array $upstreams = [];

    /** @var Collection<int, stdClass>|null those that were taken out of service; null while boxes were not read */
    private ?Collection $retired = null;

    /** @var array<string, list<string>>|null the same by the box's name; null while boxes were not read */
    private ?array $asks = null;

    public function __construct(
        Network $network,
        Moments $moments,
        private readonly Shelf $shelf,
        private readonly DateTimeImmutable $now,
    ) {
        parent::__construct($network, $moments);
    }

    /** @return list<Box> those that have a name, in the order of the record */
    public function boxes(): array
    {
        $jobs = $this->jobs();
        $all = DB::table('boxes')
            ->join('networks', 'networks.id', '=', 'boxes.network_id')
            ->whereNotNull('boxes.name')
            ->orderBy('boxes.id')
            ->select('boxes.*', 'networks.prefix AS prefix', 'networks.name AS network')
            ->selectSub(
                DB::table('run_steps')
                    ->join('runs', 'runs.id', '=', 'run_steps.run_id')
                    ->whereColumn('runs.box_id', 'boxes.id')
                    ->where('run_steps.state', RunStep::SKIPPED)
                    ->selectRaw('COUNT(*)'),
                'passed_over',
            )
            ->get();
        $stands = fn (stdClass $row): bool => $row->stage !== Stage::Retired->value;
        $rows = $all->filter($stands);
        $this->retired = $all->reject($stands)->take(self::MOST_RETIRED)->values();

        $this->asks = [];
        foreach ($rows as $row) {
            if (isset($this->upstreams[(int) $row->id])) {
                $this->asks[(string) $row->name] = self::addresses($this->upstreams[(int) $row->id]);
            }
        }

        // Where all are in one network, nobody needs its name.
        $several = $rows->unique('network_id')->count() > 1;

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Box => $this->box(
                        $row,
                        $jobs[$row->id] ?? [],
                        Prefix::tryParse((string) $row->prefix),
                        $several ? (string) $row->network : '',
                    ),
                )
                ->all(),
        );
    }

    /** @return list<RetiredBox> that were taken out of service and are still in the record */
    public function retired(): array
    {
        $this->retired ?? $this->boxes();
        $boxes = ($this->retired ?? new Collection())->map(function (stdClass $row): ?RetiredBox {
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

    /** @return list<Dependency> */
    public function dependencies(): array
    {
        $rows = DB::table('box_dependencies')
            ->join('boxes', 'boxes.id', '=', 'box_dependencies.box_id')
            ->join('boxes AS providers', 'providers.id', '=', 'box_dependencies.on_box_id')
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

    /** @return array<string, list<string>> whom a box asks further for names, by its name */
    public function asks(): array
    {
        $this->asks ?? $this->boxes();

        return $this->asks ?? [];
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

    /** @param  list<stdClass>  $jobs  rows of box_jobs */
    private function box(stdClass $row, array $jobs, ?Prefix $prefix, string $network): Box
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
            keepsAddress: (bool) $row->fixed_address || $row->pinned_at !== null,
            network: $network,
            networkId: (int) $row->network_id,
            mac: Mac::tryParse((string) $row->mac),
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
}
