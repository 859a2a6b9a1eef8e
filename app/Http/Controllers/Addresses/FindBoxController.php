<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\AskedNetwork;
use App\Addresses\Books;
use App\Addresses\Finder;
use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Networks;
use App\Models\Sighting;
use App\Probe\OwnNeighbours;
use App\Probe\ReverseNames;
use App\Probe\Sweep;
use Burrow\Addresses\Find\Seen;
use Burrow\Household\Stage;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\LeaseReader;
use Burrow\Intake\Leases\TableColumns;
use Burrow\Intake\Leases\TableLeases;
use Burrow\Intake\Paste;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Finding a box in the network: by lists that are pasted, by asking, by what is new since the power came. */
final class FindBoxController
{
    /** Rows of a list that the page shows. */
    private const SHOWN = 200;

    /** Bytes in which a table shows its looks. */
    private const TABLE = 65_536;

    /** Kinds of pastes that list machines. */
    private const KINDS = ['leases', 'neighbours', 'own-address'];

    /** What is recorded of a box whose board nobody has looked at. */
    private const NO_BOARD = 'not known';

    public function __construct(
        private readonly Finder $finder,
        private readonly Sweep $sweep,
        private readonly ReverseNames $names,
        private readonly OwnNeighbours $neighbours,
    ) {
    }

    public function show(Request $request, Catalogue $catalogue): View
    {
        abort_unless($request->user()?->isKeeper() === true, 403);
        $network = AskedNetwork::of($request);
        $wanted = Box::query()->where('network_id', $network->id)->find($request->integer('box'));

        $candidates = $this->finder->candidates($network, $wanted);

        return view('addresses.find', [
            'network' => $network,
            'networks' => Networks::all(),
            'wanted' => $wanted,
            'candidates' => $candidates,
            'gone' => $this->finder->gone($network),
            'missing' => Box::query()
                ->where('network_id', $network->id)
                ->whereNotNull('name')
                ->whereIn('stage', [Stage::Named, Stage::BringingUp])
                ->orderBy('id')
                ->limit(50)
                ->get(['id', 'name']),
            'findings' => $this->said(),
            'columns' => TableColumns::kept($network->client_columns),
            'pasted' => is_string(old('pasted')) ? old('pasted') : '',
            'namesIn' => is_string(old('names_in')) ? old('names_in') : '',
            'boards' => [self::NO_BOARD => 'board not known yet'] +
                array_map(fn ($board): string => $board->label, $catalogue->shelf()->boards),
            'jobs' => array_map(fn ($job): string => $job->label, $catalogue->shelf()->jobs),
            'sightings' => Sighting::query()
                ->where('network_id', $network->id)
                ->whereIn(
                    'known_by',
                    array_map(
                        fn ($one): string => $one->seen->key(),
                        array_slice($candidates, 0, self::SHOWN),
                    ),
                )
                ->get()
                ->keyBy('known_by'),
            'shown' => self::SHOWN,
        ]);
    }

    /** A list that somebody pasted: whichever kind it is, the machines in it were seen just now. */
    public function read(Request $request): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();
        $network = AskedNetwork::of($request);
        $columns = self::columns($network, $pasted, $request->integer('names_in'));
        $reading = Intake::standard($columns)->read(Intake::AUTO, $pasted);
        $readings = array_values(
            array_filter(
                [$reading, ...$reading->also],
                fn ($one): bool => in_array($one->kind, self::KINDS, true),
            ),
        );
        $seen = Seen::in(...$readings);
        $back = $this->back($request);
        if ($seen === []) {
            return $back
                ->withInput([
                    'pasted' => mb_substr($pasted, 0, 20_000),
                    'names_in' => $request->string('names_in')->value(),
                ])
                ->with('told', 'No machine stands in this text.')
                ->with('findings', self::kept($reading->findings->list));
        }
        $this->finder->note($network, $seen);
        if ($columns !== null && array_filter($readings, fn ($one): bool => $one->kind === 'leases') !== []) {
            $network->update(['client_columns' => $columns->jsonSerialize()]);
        }

        return $back
            ->with(
                'told',
                count($seen).
                    ' machines, read as '.
                    implode(' and ', array_map(fn ($one): string => $one->kind, $readings)).
                    '.',
            )
            ->with(
                'findings',
                self::kept(array_merge(...array_map(fn ($one): array => $one->findings->list, $readings))),
            );
    }

    public function keep(Request $request): RedirectResponse
    {
        $this->finder->keep(AskedNetwork::of($request));

        return $this->back($request)->with(
            'told',
            'Kept. Power the box on, wait, and read the list again: what is new is it.',
        );
    }

    /** One part of the network is asked; the page goes on by itself until it is through, or is told to stop. */
    public function sweep(Request $request, BenchClient $bench): View|RedirectResponse
    {
        $network = AskedNetwork::of($request);
        $from = max(0, $request->integer('from'));
        $size = min(Sweep::MOST, $network->asLocalNetwork()->prefix->size());
        $onBench = $request->boolean('bench');
        $found = $request->session()->get('swept', []);
        $found = $from === 0 || ! is_array($found) ? [] : $found;
        if ($from < $size && ! $request->boolean('stop')) {
            foreach ($this->sweep->part($network, $from, $onBench) as $one) {
                $found[] = [$one->address, $one->open];
            }
        }
        $next = $from + Sweep::PART;
        if ($next < $size && ! $request->boolean('stop')) {
            $request->session()->put('swept', $found);

            return view('addresses.sweep', [
                'next' => $next,
                'size' => $size,
                'found' => count($found),
                'onBench' => $onBench,
                'box' => $request->integer('box'),
                'network' => $network,
            ]);
        }
        $request->session()->forget('swept');
        $this->finder->note($network, $this->withHardware($network, $found, $onBench, $bench));

        return $this->back($request)->with(
            'told',
            count($found).
                ' machines answered'.
                ($request->boolean('stop') ? ' until it was stopped' : '').
                '.',
        );
    }

    /** Somebody says what a machine is; an empty word takes that back. */
    public function mark(Request $request, Sighting $sighting): RedirectResponse
    {
        $label = $request->string('label')->value();
        $sighting->update(['label' => $label === '' ? null : mb_substr($label, 0, 80)]);

        return redirect()
            ->route('addresses.find', AskedNetwork::shown($sighting->network))
            ->with('told', $label === '' ? 'It is a stranger again.' : "Known as “{$label}”.");
    }

    /** A machine that stands here already becomes a box, with everything open that nobody knows yet. */
    public function take(Request $request, Sighting $sighting, Catalogue $catalogue): RedirectResponse
    {
        $network = $sighting->network;
        $name = $request->string('name')->value();
        $box = new Box(['network_id' => $network->id]);
        $findings = Books::nameFindings($network, $name, $box);
        $job = $request->string('job')->value();
        $board = $request->string('board')->value();
        if (
            $findings->blocks() ||
            ($board !== self::NO_BOARD && ! isset($catalogue->shelf()->boards[$board]))
        ) {
            return redirect()
                ->route('addresses.find', AskedNetwork::shown($network))
                ->with('told', 'Not taken in.')
                ->with('findings', self::kept($findings->list));
        }
        $address = Box::query()
            ->where('network_id', $network->id)
            ->where('address', $sighting->address)
            ->exists();
        $box->fill([
            'name' => strtolower($name),
            'stage' => Stage::Unfinished,
            'board' => $board,
            'link' => 'wired',
            'address' => $address || str_contains($sighting->address, ':') ? null : $sighting->address,
            'mac' => $sighting->mac,
        ])->save();
        if ($catalogue->job($job) !== null) {
            $box->jobs()->create(['job' => $job]);
        }
        JournalEntry::write(
            $box,
            'taken-in',
            "{$box->called()} was there already and is taken in, seen at {$sighting->address}.",
        );

        return redirect()->route('box', $box)->with('told', 'Taken in. What is not known yet stands open.');
    }

    /** Where names stand in a table of the router's clients: as it was told, as it was the last time, as it looks. */
    private static function columns(Network $network, string $pasted, int $told): ?TableColumns
    {
        $text = Paste::clean(mb_scrub(substr($pasted, 0, self::TABLE)));
        if (! LeaseReader::isTable($text)) {
            return null;
        }
        $looks = TableLeases::columns($text, $told > 0 ? $told - 1 : null);
        $known = TableColumns::kept($network->client_columns);

        return $told <= 0 && $looks !== null && $known?->fits($looks->count, $looks->heads) === true
            ? $known
            : $looks;
    }

    /** The page of the same network, and of the box that is looked for. */
    private function back(Request $request): RedirectResponse
    {
        return redirect()->route('addresses.find', [
            ...array_filter(['box' => $request->integer('box')]),
            ...AskedNetwork::shown(AskedNetwork::of($request)),
        ]);
    }

    /** What was said of the form that was sent last. */
    private function said(): Findings
    {
        $kept = session('findings');

        return Findings::of(
            ...array_map(
                fn (mixed $one): Finding => Finding::kept(is_array($one) ? $one : []),
                is_array($kept) ? array_values($kept) : [],
            ),
        );
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array<string, mixed>>
     */
    private static function kept(array $findings): array
    {
        return array_map(fn (Finding $one): array => $one->jsonSerialize(), array_slice($findings, 0, 20));
    }

    /**
     * Answers tell no hardware addresses; where this machine's own list of neighbours, a list of before or the bench's
     * router has them, they are put to it.
     *
     * @param  array<mixed>  $found
     * @return list<Seen>
     */
    private function withHardware(Network $network, array $found, bool $onBench, BenchClient $bench): array
    {
        $known = [];
        foreach (Sighting::query()->where('network_id', $network->id)->whereNotNull('mac')->get() as $one) {
            $known[$one->address] = [$one->mac, $one->name];
        }
        foreach ($onBench ? [] : $this->neighbours->macs() as $address => $mac) {
            $known[$address] = [$mac, ($known[$address][0] ?? null) === $mac ? $known[$address][1] : null];
        }
        if ($onBench) {
            try {
                foreach (
                    Seen::in(app(Intake::class)->read('leases', $bench->text('leases', 'text'))) as $one
                ) {
                    $known[$one->address] = [$one->mac, $one->name];
                }
            } catch (BenchAway) {
                // Its answers stand for themselves.
            }
        }
        $names = $onBench ? [] : $this->namesOf($network, array_column($found, 0));
        $seen = [];
        foreach ($found as $one) {
            if (is_array($one) && is_string($one[0] ?? null)) {
                [$mac, $name] = $known[$one[0]] ?? [null, null];
                $seen[] = new Seen(
                    $mac,
                    $one[0],
                    $name ?? ($names[$one[0]] ?? null),
                    array_values(array_filter((array) ($one[1] ?? []), is_int(...))),
                );
            }
        }

        return $seen;
    }

    /**
     * What those that answered call themselves, by the network's resolver and by multicast DNS.
     *
     * @param  array<mixed>  $addresses
     * @return array<string, string> by address
     */
    private function namesOf(Network $network, array $addresses): array
    {
        $prefix = $network->asLocalNetwork()->prefix;
        $addresses = array_values(
            array_filter(
                array_map(fn (mixed $one): ?Ipv4 => is_string($one) ? Ipv4::tryParse($one) : null, $addresses),
                fn (?Ipv4 $one): bool => $one !== null && $prefix->contains($one),
            ),
        );
        $router = Ipv4::tryParse((string) $network->router);

        return $this->names->of(
            $addresses,
            $router !== null && $prefix->contains($router) ? "{$router}:53" : null,
        );
    }
}
