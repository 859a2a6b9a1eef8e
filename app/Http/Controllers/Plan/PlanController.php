<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Catalogue\Catalogue;
use App\Models\DrawerPart;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Plan;
use App\Plan\Choices;
use App\Plan\Deciding;
use App\Plan\Household;
use App\Plan\SheetFields;
use App\Plan\VariantRows;
use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Plan\Money\KitOffer;
use Burrow\Plan\Money\OldMachine;
use Burrow\Plan\Money\PartsCsv;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanFile;
use Burrow\Plan\Seat;
use Burrow\Plan\Ways\WaysOut;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\View as ViewFactory;

/** The plan sheet: it answers while choices are made, keeps variants beside one another, and becomes a box. */
final class PlanController
{
    private const BESIDE = 4;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** What changes while somebody chooses, of the sheet that was just made. */
    private static function pieces(): string
    {
        $pieces = '';
        foreach (['answer', 'verdict', 'ways', 'because', 'keep'] as $name) {
            $piece = ViewFactory::getFragment($name);
            $pieces .= is_string($piece) ? $piece : '';
        }

        return $pieces;
    }

    public function sheet(Request $request, Household $household): string
    {
        $choices = $this->choices($request, $household);
        $plan = $choices->input();
        $answer = PlanAnswer::to($plan);
        $drawer = DrawerPart::labels();
        $whole = ! $request->hasHeader('HX-Request') || $request->hasHeader('HX-Boosted');

        $seats = Seat::all(
            $choices->host() === null
                ? $plan
                : $plan->with(
                    jobs: array_values(
                        array_filter(
                            $plan->jobs,
                            fn (Job $job): bool => in_array($job->id, $choices->jobs(), true),
                        ),
                    ),
                ),
            $household->hosts(),
        );

        $sheet = view('plan.sheet', [
            'whole' => $whole,
            'choices' => $choices,
            'answer' => $answer,
            'host' => $choices->host(),
            'seats' => $seats,
            'seat' => $choices->seat($seats),
            'dark' => $household->switchFinding($choices->get('fed')),
            'old' => OldMachine::finding($plan, array_values($this->catalogue->shelf()->boards)),
            'ways' => (new WaysOut($this->catalogue->shelf()))->from($plan),
            'kits' => KitOffer::among($this->catalogue->kits(), $answer->parts, $drawer),
            'shelf' => $this->catalogue->shelf(),
            'catalogue' => $this->catalogue,
            'household' => $household,
            'variants' => Plan::query()->beside()->count(),
            'drawer' => $drawer,
            'currency' => Network::currency(),
        ]);

        // All pieces of one making: asked for one by one the sheet would be made for each of them.
        return $whole ? $sheet->render() : $sheet->render(fn (): string => self::pieces());
    }

    public function store(Request $request, Household $household, Deciding $deciding): RedirectResponse
    {
        $choices = $this->choices($request, $household);
        $because = $request->string('because')->value();
        if ($because === '' && $deciding->findings($choices)->blocks()) {
            return redirect()
                ->route('plan', $choices->toArray())
                ->withErrors([
                    'because' => 'Something stops this plan. Change it, or write down why you go on all the same.',
                ]);
        }
        $running = $choices->hostBox()?->load('run')->run;
        if ($running !== null && $running->finished_at === null) {
            return redirect()
                ->route('run', $running)
                ->with('told', 'This run comes first; the box can take on more when it is over.');
        }
        $box = $deciding->decide($choices, $household, $because);

        return match (true) {
            $box === null => redirect()
                ->route('journal')
                ->with('told', 'Decided and written down. There is no box to be set up for it.'),
            $choices->host() === null => redirect()->route('box.name', $box),
            default => redirect()->route('run', $box->refresh()->run),
        };
    }

    /** Keeps what is on the sheet as a variant, beside at most three others. */
    public function keep(Request $request, Household $household): RedirectResponse
    {
        if (Plan::query()->beside()->count() >= self::BESIDE) {
            return redirect()
                ->route('variants')
                ->with('told', 'Four variants stand side by side already. Drop one of them first.');
        }
        Plan::query()->create(['choices' => $this->choices($request, $household)->toArray()]);

        return redirect()->route('variants');
    }

    public function variants(Request $request, Household $household): View
    {
        $plans = Plan::query()->beside()->limit(self::BESIDE)->get()->map(
            fn (Plan $plan): array => [
                'id' => $plan->id,
                'choices' => ($choices = $this->choices(
                    Request::create('/', 'GET', $plan->choices),
                    $household,
                )),
                'answer' => PlanAnswer::to($choices->input()),
            ],
        );

        return view('plan.variants', [
            'plans' => $plans,
            'rows' => VariantRows::of(
                array_column($plans->all(), 'answer'),
                $request->boolean('differences'),
            ),
            'onlyDifferences' => $request->boolean('differences'),
        ]);
    }

    /** A variant that was tried goes with its reason into the journal, and later into the decision. */
    public function drop(Request $request, Household $household, Plan $plan): RedirectResponse
    {
        $reason = $request->string('reason')->value();
        $sentence = PlanAnswer::to(
            $this->choices(Request::create('/', 'GET', $plan->choices), $household)->input(),
        )->sentence();
        JournalEntry::write(
            Network::home(),
            'plan',
            'Tried and dropped'.($reason === '' ? '' : ", because {$reason}").": {$sentence}",
        );
        $plan->update(['dropped_at' => now(), 'dropped_because' => $reason]);

        return redirect()->route('variants');
    }

    /** What lies in the drawer already is not bought again. */
    public function drawer(Request $request): RedirectResponse
    {
        $label = $request->string('part')->value();
        if ($label !== '') {
            DrawerPart::toggle($label);
        }

        return back(fallback: route('plan'));
    }

    public function yaml(Request $request, Household $household): Response
    {
        return response(PlanFile::write($this->choices($request, $household)->input()), 200, [
            'Content-Type' => 'application/yaml',
            'Content-Disposition' => 'attachment; filename="plan.yaml"',
        ]);
    }

    public function parts(Request $request, Household $household): Response
    {
        $parts = PartsList::of($this->choices($request, $household)->input());

        return response(PartsCsv::of($parts), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="parts.csv"',
        ]);
    }

    /** A plan that was written down elsewhere comes onto the sheet. */
    public function take(Request $request): RedirectResponse
    {
        $plan = PlanFile::read(
            $request->string('yaml')->limit(20000, '')->value(),
            Catalogue::schema('plan'),
            'the plan',
            $this->catalogue->shelf(),
        );
        if ($plan->input === null) {
            return redirect()
                ->route('plan')
                ->withInput(['yaml' => $request->string('yaml')->limit(20000, '')->value()])
                ->withErrors([
                    'yaml' => array_map(
                        fn (Finding $finding): string => ($finding->place?->line === null
                            ? ''
                            : "Line {$finding->place->line}. ")."{$finding->found} {$finding->do}",
                        $plan->findings->list,
                    ),
                ]);
        }

        return redirect()->route('plan', SheetFields::ofPlan($plan->input));
    }

    /** One sheet to take to the shop: the verdict, every part with a box to tick, what the desk computer lacks. */
    public function paper(Request $request, Household $household): View
    {
        $choices = $this->choices($request, $household);

        return view('plan.paper', [
            'choices' => $choices,
            'answer' => PlanAnswer::to($choices->input()),
            'drawer' => DrawerPart::labels(),
            'currency' => Network::currency(),
        ]);
    }

    private function choices(Request $request, Household $household): Choices
    {
        return Choices::from($request, $this->catalogue, $household);
    }
}
