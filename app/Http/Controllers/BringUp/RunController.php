<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\BringUp\Checks;
use App\BringUp\Outcome;
use App\BringUp\PasteJudge;
use App\BringUp\RunBook;
use App\BringUp\RunDesk;
use App\BringUp\StepTold;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A run of a playbook: one step at a time, each typed, waited for or checked. */
final class RunController
{
    public function __construct(private readonly Catalogue $catalogue, private readonly RunDesk $desk, private readonly BenchClient $bench)
    {
    }

    public function begin(Box $box): RedirectResponse
    {
        if ($box->name === null || $box->user === null) {
            return redirect()->route($box->name === null ? 'box.name' : 'box.card', $box);
        }

        return redirect()->route('run', $this->desk->begin($box));
    }

    /** What was passed over, or was not in the playbook then, is taken up again. */
    public function resume(Run $run): RedirectResponse
    {
        try {
            return redirect()->route('run', $this->desk->resume($run));
        } catch (StepTold $told) {
            return back(fallback: route('run', $run))->with('told', $told->getMessage());
        }
    }

    public function show(Run $run): View
    {
        $run->load(['box.jobs', 'box.network', 'steps']);

        $book = new RunBook($run, $this->catalogue);

        return view('bringup.run', [
            'run' => $run,
            'book' => $book,
            'missing' => $book->missing(),
            'step' => $run->current(),
            'before' => $run->last(),
            'benchIsThere' => $this->bench->isThere(),
        ]);
    }

    public function act(Request $request, Run $run, RunStep $step, string $action, Checks $checks, PasteJudge $judge): RedirectResponse
    {
        abort_unless($step->run_id === $run->id, 404);
        $run->load(['box.jobs', 'box.network', 'steps']);
        $book = new RunBook($run, $this->catalogue);
        $template = $book->template($step);
        $version = $request->integer('version');
        $pasted = $request->string('pasted')->value();
        $back = redirect()->route('run', $run);
        try {
            match ($action) {
                'start' => $this->desk->start($step, $version),
                'skip' => $this->skip($request, $step, $version),
                'done' => $template->probe !== ''
                    ? throw new StepTold('This step is over when its check succeeds. Look now, or pass it over with a reason.')
                    : $this->desk->settle(
                        $step,
                        $version,
                        $template,
                        $judge->judge($book, $template, $pasted, $request->string('typed_disk')->value()),
                    ),
                'check' => $this->desk->settle($step, $version, $template, $checks->check($book, $template->probe, $pasted)),
                'reopen' => $this->desk->reopen($step, $request->integer('reopened')),
                'reserve' => $this->reserve($run, $step, $version, $book),
                default => ($pasted = $this->type($run, $book->values()->fill($template->command))),
            };
        } catch (StepTold|BenchAway $told) {
            return $back->with('told', $told->getMessage())->withInput(['pasted' => $pasted]);
        }

        return $step->refresh()->isFinished()
            ? $back
            : $back->withInput(['pasted' => $pasted, 'typed_disk' => $request->string('typed_disk')->value()]);
    }

    private function skip(Request $request, RunStep $step, int $version): void
    {
        $reason = trim($request->string('reason')->limit(150, '')->value());
        if ($reason === '') {
            throw new StepTold('Passing over a step wants a reason; it goes into the journal.');
        }
        $this->desk->skip($step, $version, $reason);
    }

    /** The bench's router takes the reservation as a page of a router would. */
    private function reserve(Run $run, RunStep $step, int $version, RunBook $book): void
    {
        $this->bench->ask(['do' => 'reserve', 'mac' => $run->box->mac, 'address' => $run->box->address]);
        $this->desk->settle($step, $version, $book->template($step), Outcome::over('reserved on the bench', Findings::of()));
    }

    private function type(Run $run, ?string $command): string
    {
        if ($command === null || ! $run->box->on_bench) {
            throw new StepTold('This command cannot be typed on the bench yet.');
        }

        return $this->bench->text('type', 'output', ['board' => 'box-'.$run->box->id, 'command' => $command]);
    }
}
