<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Household\Kept;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Rhythm;
use App\Models\RunStep;
use App\Models\StepDoubt;
use App\Upkeep\PlanFile;
use App\Upkeep\RoundDesk;
use App\Upkeep\UpkeepPage;
use App\View\Pages;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\Care\TypedCare;
use Burrow\Upkeep\TypedHours;
use Closure;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is due, soonest first. */
final class UpkeepController
{
    private const SHOWN = 50;

    /** Boxes to choose from. */
    private const BOXES = 300;

    public function __construct(private readonly Playbooks $playbooks)
    {
    }

    public function index(Request $request, Kept $kept, RoundDesk $round): View
    {
        $told = $request->user()?->isKeeper() === true;
        $through = $request->string('through')->value();
        $page = $told ? UpkeepPage::kept($kept, $through, Pages::at()) : null;

        return view('upkeep.index', [
            'told' => $told,
            'page' => $page,
            'round' => $told && $round->open() !== null,
            'through' => $through,
            'dues' => Pages::shown($page->dues ?? [], $page->of ?? 0, Pages::SHEETS),
            'late' => $page->late ?? 0,
            'zone' => Network::zone(),
            'users' => Box::query()
                ->whereKey(array_keys($page->dues ?? []))
                ->pluck('user', 'id'),
            'names' => $told
                ? Box::query()
                    ->here()
                    ->whereNotNull('name')
                    ->orderBy('id')
                    ->limit(self::BOXES)
                    ->pluck('name')
                    ->all()
                : [],
            'judged' => old('hours_what') === null
                    ? Findings::of()
                    : $this->typed(app(Household::class), fn (string $field): mixed => old($field))->findings,
            'careJudged' => old('care_what') === null
                    ? Findings::of()
                    : TypedCare::of(
                        app(Household::class),
                        array_map(
                            fn (mixed $one): string => is_string($one) ? $one : '',
                            array_combine(TypedCare::FIELDS, array_map(old(...), TypedCare::FIELDS)),
                        ),
                    )->findings,
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

    /** The plan as a calendar file. */
    public function calendar(Request $request, Household $house): Response
    {
        $text = PlanFile::text($house, $request->string('through')->value() ?: null);

        return response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="upkeep.ics"',
        ]);
    }

    /** Hours of the week are written down. */
    public function hours(Request $request, Household $house): RedirectResponse
    {
        $judged = $this->typed($house, fn (string $field): mixed => $request->input($field));
        $hours = $judged->hours;
        if ($hours === null) {
            return redirect()
                ->to(route('upkeep').'#hours')
                ->withInput(
                    $request->only([
                        'hours_what',
                        'hours_kind',
                        'hours_from',
                        'hours_to',
                        'hours_days',
                        'hours_boxes',
                    ]),
                );
        }
        Rhythm::query()->create([
            'network_id' => Network::home()->id,
            'kind' => $hours->kind,
            'what' => $hours->what,
            'days' => implode(' ', $hours->days),
            'from' => $hours->from,
            'to' => $hours->to,
            'boxes' => $hours->boxes,
        ]);

        return redirect()
            ->to(route('upkeep').'#hours')
            ->with('told', 'Written down; the plan keeps to it.');
    }

    public function noHours(Rhythm $rhythm): RedirectResponse
    {
        $rhythm->delete();

        return redirect()
            ->to(route('upkeep').'#hours')
            ->with('told', 'It is out of the record.');
    }

    /** @param  Closure(string): mixed  $said */
    private function typed(Household $house, Closure $said): TypedHours
    {
        $typed = [];
        foreach (['hours_what', 'hours_kind', 'hours_from', 'hours_to'] as $field) {
            $value = $said($field);
            $typed[$field] = is_string($value) ? $value : '';
        }
        $list = fn (string $field): array => array_values(
            array_filter(is_array($said($field)) ? $said($field) : [], is_string(...)),
        );

        return TypedHours::of($house, $typed, $list('hours_days'), $list('hours_boxes'));
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
            fn (RunStep $step): array => [
                $step,
                (new RunBook($step->run, $this->playbooks))->step($step)->title,
            ],
            array_values($steps->all()),
        );
    }

    /** Somebody looked after a step whose day has come: it has its next one, or none. */
    public function again(RunStep $step): RedirectResponse
    {
        $played = (new RunBook(
            $step->run->load(['box.jobs', 'box.network', 'steps']),
            $this->playbooks,
        ))->step($step);
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
