<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\BringUp\Asker;
use App\BringUp\BenchHands;
use App\BringUp\RunBook;
use App\BringUp\RunDesk;
use App\BringUp\RunStart;
use App\BringUp\StepTold;
use App\BringUp\TakeOver;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Desk;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\StepDoubt;
use Burrow\BringUp\Change;
use Burrow\BringUp\Paper\Markdown;
use Burrow\BringUp\Paper\ShellScript;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\NotAsked;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Intake\Intake;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A run of a playbook: one step at a time, each typed, waited for or checked. */
final class RunController
{
    public function __construct(
        private readonly Playbooks $playbooks,
        private readonly RunDesk $desk,
        private readonly RunStart $start,
        private readonly BenchClient $bench,
        private readonly BenchHands $hands,
    ) {
    }

    public function begin(Box $box): RedirectResponse
    {
        if ($box->name === null || $box->user === null) {
            return redirect()->route($box->name === null ? 'box.name' : 'box.card', $box);
        }

        return redirect()->route('run', $this->start->begin($box));
    }

    /** What was passed over, or was not in the playbook then, is taken up again. */
    public function resume(Run $run): RedirectResponse
    {
        try {
            return redirect()->route('run', $this->start->resume($run));
        } catch (StepTold $told) {
            return back(fallback: route('run', $run))->with('told', $told->getMessage());
        }
    }

    public function show(Request $request, Run $run): View|Response
    {
        $run->load(['box.jobs', 'box.network', 'steps']);

        $book = new RunBook($run, $this->playbooks);
        if ($request->header('HX-Target') === 'stages') {
            $step = $run->current();

            // Where the step is over meanwhile the whole page is another one.
            return $step?->state === RunStep::RUNNING && $book->step($step)->more->starts
                ? view('bringup.stages', ['run' => $run, 'step' => $step])
                : response('', 200, ['HX-Refresh' => 'true']);
        }

        return view('bringup.run', [
            'run' => $run,
            'book' => $book,
            'missing' => $book->missing(),
            'others' => Run::query()->whereNull('finished_at')->whereKeyNot($run->id)->count(),
            'step' => $run->current(),
            'before' => $run->last(),
            'doubts' => StepDoubt::query()
                ->where('step', $run->current()->step ?? '')
                ->whereNull('answered_at')
                ->latest('id')
                ->limit(3)
                ->get(),
            'shells' => $this->shells($run, $book),
            'benchIsThere' => $this->bench->isThere(),
            'way' => $run->changes() === Change::Move && (new TakeOver())->canGoBack($run) ? $run : null,
        ]);
    }

    /** @return array{posix: bool, powershell: bool} into which shells the present command is typed */
    private function shells(Run $run, RunBook $book): array
    {
        $step = $run->current();

        return $step !== null && $book->step($step)->isTypedAtTheDesk()
            ? Desk::shells()
            : ['posix' => true, 'powershell' => false];
    }

    /** All steps on paper, with boxes to tick. */
    public function paper(Run $run): View
    {
        return view('bringup.paper', ['run' => $run, 'book' => $this->book($run)]);
    }

    /** The same as a text or a script, to take along. */
    public function take(Run $run, string $form): Response
    {
        $filled = $this->book($run)->filled();
        $name = ($run->box->name ?? 'box').'-steps.'.$form;

        return response((string) ($form === 'sh' ? new ShellScript($filled) : new Markdown($filled)), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    private function book(Run $run): RunBook
    {
        return new RunBook($run->load(['box.jobs', 'box.network', 'steps']), $this->playbooks);
    }

    public function act(Request $request, Run $run, RunStep $step, string $action): RedirectResponse
    {
        abort_unless($step->run_id === $run->id, 404);
        $run->load(['box.jobs', 'box.network', 'steps']);
        $book = new RunBook($run, $this->playbooks);
        $played = $book->step($step);
        $version = $request->integer('version');
        $given = $this->given($request, $played, $run->box->on_bench);
        $back = redirect()->route('run', $run);
        try {
            match ($action) {
                'start' => $this->desk->start($step, $version),
                'skip' => $this->skip($request, $step, $version),
                'doubt' => $this->doubt($request, $step),
                'done' => $played->place() === StepPlace::Check
                    ? throw new StepTold(
                        'This step is over when its check succeeds. Look now, or pass it over with a reason.',
                    )
                    : $this->desk->settle($step, $version, $this->judge($run, $book, $played, $given)),
                'check' => $this->desk->settle($step, $version, $this->judge($run, $book, $played, $given)),
                'reopen' => $this->desk->reopen($step, $request->integer('reopened')),
                default => ($given = $this->hands->help(
                    $run,
                    $book,
                    $step,
                    $version,
                    BenchHelp::from($action),
                    $given,
                )),
            };
        } catch (StepTold|BenchAway $told) {
            return $back->with('told', $told->getMessage())->withInput($given);
        }

        return $step->refresh()->isFinished() ? $back : $back->withInput($given);
    }

    /** @return array<string, string> what stands in the step's fields */
    private function given(Request $request, Step $step, bool $onBench): array
    {
        $given = [];
        foreach ($step->kind->takes($step, $onBench) as $field) {
            $given[$field->name] = $request->string($field->name)->value();
        }

        return $given;
    }

    /** @param  array<string, string>  $given */
    private function judge(Run $run, RunBook $book, Step $step, array $given): Outcome
    {
        try {
            return $book->needsFirst($step) ??
                $step->kind->judge(
                    new Judging(
                        $step,
                        $book->facts(),
                        $given,
                        app()->makeWith(Asker::class, ['box' => $run->box]),
                        app(Intake::class),
                    ),
                );
        } catch (NotAsked $notAsked) {
            return Outcome::notYet($notAsked->finding);
        }
    }

    private function doubt(Request $request, RunStep $step): void
    {
        $saw = $request->string('saw')->value();
        if ($saw === '') {
            throw new StepTold('Say in a few words what you saw instead.');
        }
        $this->desk->doubt($step, $saw);
        session()->flash('told', 'Written down. The step is marked as stale, and stands in Upkeep.');
    }

    private function skip(Request $request, RunStep $step, int $version): void
    {
        $reason = $request->string('reason')->value();
        if ($reason === '') {
            throw new StepTold('Passing over a step wants a reason; it goes into the journal.');
        }
        $again = $request->string('again')->value();
        $day =
            preg_match('/^\d{4}-\d\d-\d\d$/D', $again) === 1
                ? DateTimeImmutable::createFromFormat('!Y-m-d', $again)
                : false;
        $isDay =
            $day !== false && $day->format('Y-m-d') === $again && $day < new DateTimeImmutable('+5 years');
        if ($again !== '' && ! $isDay) {
            throw new StepTold(
                "“{$again}” is no day within the next five years; it is written as 2026-12-24.",
            );
        }
        $this->desk->skip($step, $version, $reason, $isDay ? $day : null);
    }
}
