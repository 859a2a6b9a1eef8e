<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\DrawerPart;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Plan;
use App\Plan\Choices;
use Burrow\Plan\OldMachine;
use Burrow\Plan\PartsCsv;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\WaysOut;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Severity;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** The plan sheet: it answers while choices are made, keeps variants beside one another, and becomes a box. */
final class PlanController
{
    private const BESIDE = 4;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function sheet(Request $request): string
    {
        $choices = Choices::from($request, $this->catalogue);

        return view('plan.sheet', [
            'choices' => $choices,
            'answer' => PlanAnswer::to($choices->input()),
            'old' => OldMachine::finding($choices->input(), array_values($this->catalogue->boards())),
            'ways' => (new WaysOut($this->catalogue->shelf()))->from($choices->input()),
            'catalogue' => $this->catalogue,
            'variants' => Plan::query()->count(),
            'drawer' => DrawerPart::labels(),
        ])->fragmentIf($request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted'), 'answer');
    }

    public function store(Request $request): RedirectResponse
    {
        $choices = Choices::from($request, $this->catalogue);
        $answer = PlanAnswer::to($choices->input());
        $reason = trim($request->string('overrule')->limit(500, '')->value());
        if (! $answer->fits() && $reason === '') {
            return redirect()->route('plan', $choices->toArray())->withErrors(['overrule' => 'Something stops this plan. Change it, or write down why you go on all the same.']);
        }
        $box = DB::transaction(function () use ($choices, $answer, $reason): Box {
            $box = Box::query()->create(['network_id' => Network::home()->id] + $choices->forBox());
            foreach ($choices->jobs() as $job) {
                $box->jobs()->create(['role' => $job]);
            }
            JournalEntry::write($box, 'plan', 'Planned as '.implode(', ', array_map(fn ($role): string => $role->label, $choices->input()->roles)).": {$answer->sentence()}");
            if (! $answer->fits()) {
                $stops = array_filter($answer->findings->list, fn (Finding $finding): bool => $finding->severity === Severity::Stop);
                JournalEntry::write($box, 'overruled', implode(' ', array_map(fn (Finding $finding): string => $finding->found, $stops))." Overruled: {$reason}");
            }

            return $box;
        });

        return redirect()->route('box.name', $box);
    }

    /** Keeps what is on the sheet as a variant, beside at most three others. */
    public function keep(Request $request): RedirectResponse
    {
        if (Plan::query()->count() >= self::BESIDE) {
            return redirect()->route('variants')->with('told', 'Four variants stand side by side already. Drop one of them first.');
        }
        $choices = Choices::from($request, $this->catalogue);
        Plan::query()->create(['choices' => $choices->toArray()]);

        return redirect()->route('variants');
    }

    public function variants(Request $request): View
    {
        $plans = Plan::query()->orderBy('id')->limit(self::BESIDE)->get()->map(fn (Plan $plan): array => [
            'id' => $plan->id,
            'choices' => $choices = Choices::from(Request::create('/', 'GET', $plan->choices), $this->catalogue),
            'answer' => PlanAnswer::to($choices->input()),
        ]);

        return view('plan.variants', ['plans' => $plans, 'onlyDifferences' => $request->boolean('differences')]);
    }

    /** A variant that was tried goes with its reason into the journal. */
    public function drop(Request $request, Plan $plan): RedirectResponse
    {
        $reason = trim($request->string('reason')->limit(200, '')->value());
        $sentence = PlanAnswer::to(Choices::from(Request::create('/', 'GET', $plan->choices), $this->catalogue)->input())->sentence();
        JournalEntry::write(Network::home(), 'plan', 'Tried and dropped'.($reason === '' ? '' : ", because {$reason}").": {$sentence}");
        $plan->delete();

        return redirect()->route('variants');
    }

    /** What lies in the drawer already is not bought again. */
    public function drawer(Request $request): RedirectResponse
    {
        $label = mb_substr($request->string('part')->trim()->value(), 0, 160);
        if ($label !== '') {
            DrawerPart::toggle($label);
        }

        return back(fallback: route('plan'));
    }

    public function yaml(Request $request): Response
    {
        return response(Choices::from($request, $this->catalogue)->asYaml(), 200, ['Content-Type' => 'application/yaml', 'Content-Disposition' => 'attachment; filename="plan.yaml"']);
    }

    public function parts(Request $request): Response
    {
        $parts = PlanAnswer::to(Choices::from($request, $this->catalogue)->input())->parts;

        return response(PartsCsv::of($parts), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="parts.csv"']);
    }
}
