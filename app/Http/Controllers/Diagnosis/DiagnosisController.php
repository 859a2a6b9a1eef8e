<?php

declare(strict_types=1);

namespace App\Http\Controllers\Diagnosis;

use App\Bench\BenchAway;
use App\Diagnosis\Examination;
use App\Diagnosis\Questions;
use App\Diagnosis\Rehearsing;
use App\Models\Box;
use App\Models\Diagnosis;
use App\Models\JournalEntry;
use App\Models\Rehearsal;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Draw\HolePicture;
use Burrow\Diagnosis\Draw\RootPicture;
use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Likely;
use Burrow\Diagnosis\Seen;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Why a box does not do its work, as a conversation: one check at a time. */
final class DiagnosisController
{
    public function __construct(
        private readonly Examination $examination,
        private readonly Questions $questions,
        private readonly Rehearsing $rehearsing,
    ) {
    }

    public function show(Request $request, Box $box): View
    {
        $kept = Diagnosis::openOf($box);
        $talk = $this->examination->of($box->load(['jobs', 'run', 'network']), $kept);
        $asked = $request->string('check')->value();
        $next = $talk->next(4);
        $chosen =
            isset($talk->knowledge->checks[$asked]) && $kept !== null
                ? $talk->weighing($talk->knowledge->checks[$asked])
                : $next[0] ?? null;
        $told = $kept === null || $asked !== '' ? null : $talk->told();
        $practice = Rehearsal::openOf($box);

        return view('diagnosis.show', [
            'box' => $box,
            'kept' => $kept,
            'talk' => $talk,
            'told' => $told,
            'next' => $chosen,
            'lights' => $this->examination->lights($box),
            'practice' => $practice,
            'saw' => $practice === null || $chosen === null ? '' : $this->sees($practice, $chosen->check->id),
            'holes' => HolePicture::of($next),
            'roots' => $kept === null ? null : RootPicture::of($talk, $this->examination->before($talk)),
            'working' => RootPicture::working($talk),
            'back' => $told?->cause === null ? null : $this->examination->wayBack($box, $told->cause),
            'checks' => array_filter($talk->knowledge->checks, $talk->isOffered(...)),
            'earlier' => Diagnosis::query()
                ->where('box_id', $box->id)
                ->whereNotNull('ended_at')
                ->latest('id')
                ->limit(5)
                ->get(),
        ]);
    }

    public function answer(Request $request, Box $box): RedirectResponse
    {
        $check = $request->string('check')->value();
        $answer = $request->string('answer')->value();

        return $this->change($request, $box, function (Diagnosis $kept, Conversation $talk) use (
            $request,
            $box,
            $check,
            $answer,
        ): ?string {
            $known = $talk->knowledge->checks[$check] ?? null;
            if ($known === null) {
                return 'There is no such check.';
            }
            if ($answer === '' && $request->filled('pasted')) {
                $answer = $this->questions->read($box, $check, $request->string('pasted')->value());
                if ($answer === null) {
                    return 'Nothing in that text answers this check. It is not noted; an answer can be clicked instead.';
                }
            }
            if (! isset($known->answers[$answer])) {
                return 'There is no such answer.';
            }
            $first = $kept->observations() === [];
            $seen = new Seen($check, (string) $answer, now()->getTimestamp());
            $practice = Rehearsal::openOf($box);
            $practice === null || $this->rehearsing->answered($practice, $seen, $talk);
            $kept->note($seen);
            if ($first || $check === Check::FIRST) {
                $this->ask($box, $kept);
            }

            return null;
        });
    }

    /** The tool asks again what it can ask by itself. */
    public function askAgain(Request $request, Box $box): RedirectResponse
    {
        return $this->change(
            $request,
            $box,
            fn (Diagnosis $kept): string => match ($this->ask($box, $kept)) {
                0 => 'Nothing could be asked: there is no address yet, or it lies outside of the network.',
                1 => 'One question was asked.',
                default => 'Everything that can be asked from here was asked.',
            },
        );
    }

    public function cannot(Request $request, Box $box): RedirectResponse
    {
        return $this->change($request, $box, function (Diagnosis $kept) use ($request): null {
            $kept->skipped = array_values(array_unique([...$kept->skipped, $request->string('check')->value()]));

            return null;
        });
    }

    public function forget(Request $request, Box $box): RedirectResponse
    {
        return $this->change($request, $box, function (Diagnosis $kept) use ($request): null {
            $kept->forget($request->string('check')->value());

            return null;
        });
    }

    /** The cause that was told was put right: is the box well now? Or it is ruled out. */
    public function cure(Request $request, Box $box): RedirectResponse
    {
        $cause = $request->string('cause')->value();
        $came = $request->string('came')->value();

        $practice = Rehearsal::openOf($box);
        if ($practice !== null) {
            try {
                $right = $this->rehearsing->say($practice, $cause);
            } catch (BenchAway $away) {
                return back()->with('told', $away->getMessage());
            }
            if ($right === null) {
                // Practice tells nothing of this house: no cause goes into its odds.
                Diagnosis::openOf($box)?->update(['ended_at' => now()]);

                return redirect()
                    ->route('rehearsal')
                    ->with('told', 'That was it. All is found, and the board is well again.');
            }
            $came = $right ? 'still' : 'not';
        }

        return $this->change($request, $box, function (Diagnosis $kept, Conversation $talk) use (
            $box,
            $cause,
            $came,
            $practice,
        ): ?string {
            $known = $talk->knowledge->causes[$cause] ?? null;
            if ($known === null && $cause !== Likely::ELSE) {
                return 'There is no such cause.';
            }
            $label = $known->label ?? 'something else';
            if ($came === 'well') {
                $kept->cause = $known?->id;
                $kept->ended_at = now();
                JournalEntry::write($box, 'diagnosis', "{$box->called()} is well again. It was: {$label}.");

                return 'Noted in the journal, and in the odds of this house.';
            }
            if ($known === null) {
                return 'There is no such cause.';
            }
            $after = $came === 'still' ? $talk->mended($known->id) : $talk;
            $kept->cleared = array_values(array_unique([...$kept->cleared, $known->id]));
            $kept->skipped = $after->skipped;
            $kept->keepOnly(array_map(fn (Seen $one): string => $one->check, $after->seen));
            if ($practice !== null) {
                return $came === 'still'
                    ? 'That was right, and the bench has put it right. The box is not well yet.'
                    : 'It was not that.';
            }
            $came === 'still' &&
                JournalEntry::write(
                    $box,
                    'diagnosis',
                    "{$label}: put right at {$box->called()}, which is not well yet.",
                );

            return null;
        });
    }

    public function stop(Request $request, Box $box): RedirectResponse
    {
        return $this->change($request, $box, function (Diagnosis $kept) use ($box): string {
            $kept->ended_at = now();
            JournalEntry::write($box, 'diagnosis', "The search at {$box->called()} was ended without a cause.");

            return 'Ended without a cause; what was seen is kept with it.';
        });
    }

    private function sees(Rehearsal $practice, string $check): string
    {
        try {
            return $this->rehearsing->look($practice, $check);
        } catch (BenchAway $away) {
            return $away->getMessage();
        }
    }

    private function ask(Box $box, Diagnosis $kept): int
    {
        $box->loadMissing(['services', 'network', 'jobs', 'run']);
        $answers = $this->questions->ask($box, $this->examination->of($box, $kept));
        array_map($kept->note(...), $answers);

        return count($answers);
    }

    /** @param  callable(Diagnosis, Conversation): ?string  $change  says what is to be told, if anything */
    private function change(Request $request, Box $box, callable $change): RedirectResponse
    {
        $kept = Diagnosis::openOf($box);
        $to = redirect()->route('box.diagnosis', $box);
        $seen = $request->integer('revision');
        if (($kept->revision ?? 0) !== $seen || $kept?->claim() === false) {
            return $to->with(
                'told',
                'This was answered in another window meanwhile; nothing was changed. This is how it stands.',
            );
        }
        $kept ??= new Diagnosis([
            'box_id' => $box->id,
            'seen' => [],
            'skipped' => [],
            'cleared' => [],
            'begun_at' => now(),
            'revision' => 0,
        ]);
        $told = $change($kept, $this->examination->of($box->load(['jobs', 'run', 'network']), $kept));
        if ($kept->exists || $kept->observations() !== []) {
            $kept->revision = $seen + 1;
            $kept->save();
        }

        return $told === null ? $to : $to->withInput()->with('told', $told);
    }
}
