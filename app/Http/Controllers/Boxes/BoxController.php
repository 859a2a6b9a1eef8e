<?php

declare(strict_types=1);

namespace App\Http\Controllers\Boxes;

use App\Addresses\Books;
use App\Boxes\BoxesPage;
use App\BringUp\RunBook;
use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\Household\Kept;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Certificate;
use App\Models\ForGuests;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Run;
use App\Models\RunStep;
use App\Plan\BoxPlan;
use App\Plan\Readings;
use App\View\Pages;
use Burrow\BringUp\Draw\StartTimeline;
use Burrow\Catalogue\Job\Job;
use Burrow\Household\Box as Pictured;
use Burrow\Household\Household;
use Burrow\Household\Stage;
use Burrow\Stores\CopyTest\Watched;
use Burrow\Stores\CopyTest\WatchScript;
use Burrow\Upkeep\Calendar;
use Carbon\Carbon;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

final class BoxController
{
    /** Starts that are drawn below each other. */
    private const STARTS = 8;

    /** Boxes that were taken out of service and are listed. */
    private const RETIRED = 50;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Playbooks $playbooks,
    ) {
    }

    public function index(Kept $kept): View
    {
        $boxes = Box::query()->here()->with('jobs')->orderBy('name')->paginate(Pages::ROWS);
        // Only what is on the way has a next step, which may be one of its run.
        $boxes->getCollection()->reject(fn (Box $box): bool => $box->isInService())->load('run');

        return view('boxes.index', [
            'boxes' => $boxes,
            'inService' => Box::query()->inService()->count(),
            'page' => BoxesPage::kept($kept, Pages::at()),
            'retired' => Box::query()
                ->where('stage', Stage::Retired)
                ->orderByDesc('retired_at')
                ->limit(self::RETIRED)
                ->get(),
            'catalogue' => $this->catalogue,
        ]);
    }

    public function show(Request $request, Box $box, Household $house): View
    {
        $pictured = collect($house->boxes())->first(fn (Pictured $one): bool => $one->id === $box->id);
        $plan = BoxPlan::of($box->load('jobs'), $this->catalogue);
        $readings = new Readings($box, $plan);
        $box->load(['measurements', 'services', 'openings', 'stores', 'dependencies.provider', 'run']);

        return view('boxes.show', [
            'box' => $box,
            'hearing' => $box->hearing(),
            'leftOpen' => $this->leftOpen($box),
            'unplayed' => $box->stage->stands()
                ? array_values(
                    $box->jobs
                        ->whereNull('finished_at')
                        ->map(fn (BoxJob $job): string => $this->catalogue->job($job->job)->label ?? $job->job)
                        ->all(),
                )
                : [],
            'board' => $this->catalogue->board($box->board),
            'starts' => $this->starts($box),
            'jobs' => array_values(
                array_filter($box->jobs->map(fn ($job): ?Job => $this->catalogue->job($job->job))->all()),
            ),
            'due' => $pictured !== null && $request->user()?->isKeeper() === true
                    ? Calendar::ofBox($pictured, $house)
                    : null,
            'copyJudged' => $readings->copy(),
            'heatJudged' => $readings->heat(),
            'twin' => $box->host_key === null
                    ? null
                    : Box::query()->whereKeyNot($box->id)->where('host_key', $box->host_key)->first(),
            'proposed' => $box->stage->stands() ? Books::addresses($box->network)->propose() : null,
            // Its playbooks are read only for whoever wants to choose a step.
            'steps' => $box->isInService() && $request->boolean('again') ? $this->stepsOf($box) : [],
            'shown' => Certificate::query()
                ->whereIn('service_id', $box->services->modelKeys())
                ->get()
                ->map(
                    fn (Certificate $one): string => "{$box->services->find(
                        $one->service_id,
                    )?->port} {$one->sha256}",
                )
                ->all(),
            'labels' => array_map(fn (Job $one): string => $one->label, $this->catalogue->shelf()->jobs),
            'reasons' => ForGuests::see($request->user(), 'openings.reason'),
            'decisions' => $box->decisions()->get(),
            'entries' => $box
                ->journal()
                ->shownTo($request->user())
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->limit(12)
                ->get(),
        ]);
    }

    /** @return array<string, string> id => title of every step that brings it up, in their order */
    private function stepsOf(Box $box): array
    {
        $run = (new Run(['learned' => []]))
            ->setRelation('box', $box->loadMissing(['jobs', 'network']))
            ->setRelation('steps', new EloquentCollection());
        $steps = [];
        foreach ((new RunBook($run, $this->playbooks))->steps->list as $at => $step) {
            $steps[$step->id] = $at + 1 .'. '.$step->title;
        }

        return $steps;
    }

    /**
     * @return Collection<int, array{title: string, outcome: string, at: ?Carbon}> steps that were passed over, and when
     */
    private function leftOpen(Box $box): Collection
    {
        $steps = $box->stage->stands()
            ? $box
                ->passedOver()
                ->with(['run.box.jobs'])
                ->get()
            : collect();

        return $steps
            ->map(
                fn (RunStep $step): array => [
                    'title' => (new RunBook($step->run, $this->playbooks))->step($step)->title,
                    'outcome' => $step->outcome ?? '',
                    'at' => $step->finished_at,
                ],
            )
            ->values();
    }

    /**
     * What somebody measured: a copy rate with the idle share meanwhile, or the board's temperature with the room's.
     */
    public function measured(Request $request, Box $box): RedirectResponse
    {
        if ($request->has('board_celsius')) {
            $typed = $request->validate(
                [
                    'board_celsius' => ['required', 'numeric', 'between:-20,120'],
                    'room_celsius' => ['required', 'numeric', 'between:-20,60'],
                ],
                [
                    'board_celsius.*' => 'The board under load, in °C.',
                    'room_celsius.*' => 'The room at that time, in °C.',
                ],
            );
            $box->measurements()->create($typed);
            JournalEntry::write(
                $box,
                'measured',
                "Temperature under load: {$typed['board_celsius']} °C in a room of {$typed['room_celsius']} °C.",
            );

            return redirect()->route('box', $box);
        }
        if ($request->has('watched')) {
            return $this->watched($request, $box);
        }
        $typed = $request->validate(
            [
                'megabytes' => ['required', 'numeric', 'gt:0', 'lt:10000'],
                'idle' => ['required', 'numeric', 'between:0,100'],
            ],
            [
                'megabytes.*' => 'The settled rate in MB/s, above zero.',
                'idle.*' => 'The idle share in per cent, 0 to 100.',
            ],
        );
        $box->measurements()->create([
            'megabytes' => (float) $typed['megabytes'],
            'idle' => $typed['idle'] / 100,
        ]);
        JournalEntry::write(
            $box,
            'measured',
            "Copy rate measured: {$typed['megabytes']} MB/s, {$typed['idle']} % idle.",
        );

        return redirect()->route('box', $box);
    }

    /** What the box itself watched while somebody copied. */
    private function watched(Request $request, Box $box): RedirectResponse
    {
        $pasted = $request->string('watched')->value();
        $seen = Watched::of($pasted);
        $back = redirect()->to(route('box', $box).'#copy-test');
        if ($seen === null) {
            return $back
                ->withInput(['watched' => mb_substr($pasted, 0, 20_000)])
                ->with(
                    'told',
                    'No copy of more than ten seconds stands in this text; start the script, then copy one file of about 1 GB.',
                );
        }
        // One full core is the limit, however idle the others are.
        $idle = $seen->oneCoreIsFull() ? 0.0 : $seen->idle / 100;
        $box->measurements()->create(['megabytes' => $seen->megabytes(), 'idle' => round($idle, 3)]);
        JournalEntry::write($box, 'measured', "Copy watched: {$seen->words()}.");

        return $back->with('told', ucfirst($seen->words()).'.');
    }

    /** The script that watches a copy on the box. */
    public function copyTest(): Response
    {
        return response(WatchScript::text(), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="watch-copy.sh"',
        ]);
    }

    /** The supply, strip or switch that the box hangs on. */
    public function fed(Request $request, Box $box): RedirectResponse
    {
        $from = $request->string('fed_by')->value();
        $box->update(['fed_by' => $from === '' ? null : $from]);
        JournalEntry::write(
            $box,
            'power',
            $from === ''
                ? "{$box->called()} hangs on nothing that was named."
                : "{$box->called()} hangs on: {$from}.",
        );

        return redirect()->route('box', $box);
    }

    /** A box that never went into service can be dropped; what was written about it stays in the journal. */
    public function destroy(Box $box): RedirectResponse
    {
        abort_if($box->isInService(), 409, 'A box in service is not dropped.');
        abort_if(
            $box->stage === Stage::Retired && $box->wiped_at === null,
            409,
            'Its card is still the way back.',
        );
        JournalEntry::write(
            $box,
            'dropped',
            $box->stage === Stage::Retired
                ? "The record of {$box->called()} was dropped."
                : "The plan for {$box->called()} was dropped.",
        );
        // Each by itself, so that what was open stays known.
        Opening::query()->where('box_id', $box->id)->get()->each->delete();
        $box->delete();

        return redirect()
            ->route('boxes')
            ->with('told', "{$box->called()} was dropped.");
    }

    /** The starts of the box that were watched, the newest first; null when there were none. */
    private function starts(Box $box): ?StartTimeline
    {
        $steps = RunStep::query()
            ->whereIn('run_id', Run::query()->select('id')->where('box_id', $box->id))
            ->whereNotNull('stages')
            ->whereNotNull('began_at')
            ->latest('began_at')
            ->limit(self::STARTS)
            ->get();

        return $steps->isEmpty()
            ? null
            : StartTimeline::of(
                array_values(
                    $steps
                        ->map(
                            fn (RunStep $step): array => [
                                'label' => (string) $step->began_at
                                    ?->setTimezone(Network::zone())
                                    ->format('j M H:i'),
                                'stages' => $step->stages ?? [],
                            ],
                        )
                        ->all(),
                ),
            );
    }
}
