<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\RunStep;
use App\Models\StepDoubt;
use App\View\Pages;
use Burrow\Household\Household;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Due;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is due, soonest first. */
final class UpkeepController
{
    private const SHOWN = 50;

    public function __construct(private readonly Playbooks $playbooks)
    {
    }

    public function index(Request $request, Household $house): View
    {
        $told = $request->user()?->isKeeper() === true;

        $dues = $told ? Calendar::of($house) : [];
        $shown = Pages::of($dues, Pages::SHEETS);

        return view('upkeep.index', [
            'told' => $told,
            'dues' => $shown,
            'late' => count(array_filter($dues, fn (Due $due): bool => $due->isOverdue())),
            'users' => Box::query()->whereKey(array_keys($shown->items()))->pluck('user', 'id'),
            'again' => $told ? $this->dated() : [],
            'doubts' => $told
                ? StepDoubt::query()
                    ->with('box.jobs')
                    ->whereNull('answered_at')
                    ->latest('id')
                    ->limit(self::SHOWN)
                    ->get()
                : collect(),
        ]);
    }

    /**
     * @return list<array{RunStep, string}> steps that have a day: passed over until then, or due again; with their
     *         titles
     */
    private function dated(): array
    {
        $steps = RunStep::query()
            ->with(['run.box.jobs', 'run.box.network', 'run.steps'])
            ->whereIn('state', [RunStep::SKIPPED, RunStep::DONE])
            ->whereNotNull('due_on')
            ->orderBy('due_on')
            ->limit(self::SHOWN)
            ->get();

        return array_map(
            fn (RunStep $step): array => [$step, (new RunBook($step->run, $this->playbooks))->step($step)->title],
            array_values($steps->all()),
        );
    }

    /** Somebody looked after a step whose day has come: it has its next one, or none. */
    public function again(RunStep $step): RedirectResponse
    {
        $played = (new RunBook($step->run->load(['box.jobs', 'box.network', 'steps']), $this->playbooks))->step($step);
        $days = $step->state === RunStep::DONE ? $played->more->dueDays : null;
        $step->update(['due_on' => $days === null ? null : now()->addDays($days)]);
        JournalEntry::write($step->run->box, 'update', "“{$played->title}” was looked after.");

        return redirect()
            ->route('upkeep')
            ->with('told', "“{$played->title}”: written down as looked after.");
    }

    /** Somebody looked after a step that had looked different. */
    public function answered(StepDoubt $doubt): RedirectResponse
    {
        $doubt->update(['answered_at' => now()]);

        return redirect()
            ->route('upkeep')
            ->with('told', "“{$doubt->title}”: written down as looked after.");
    }

    public function updated(Box $box): RedirectResponse
    {
        $box->update(['updated_system_at' => now()]);
        JournalEntry::write($box, 'update', 'System brought up to date.');

        return redirect()
            ->route('upkeep')
            ->with('told', "{$box->called()}: written down as updated today.");
    }
}
