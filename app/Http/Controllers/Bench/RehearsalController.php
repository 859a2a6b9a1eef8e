<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bench;

use App\Bench\BenchAway;
use App\Catalogue\KnownCauses;
use App\Diagnosis\Examination;
use App\Diagnosis\Rehearsing;
use App\Models\Box;
use App\Models\Rehearsal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Random\Randomizer;

/** Practice at the bench: begin one, see how the others went. */
final class RehearsalController
{
    private const SHOWN = 20;

    public function __construct(
        private readonly Rehearsing $rehearsing,
        private readonly Examination $examination,
    ) {
    }

    public function index(): View
    {
        $past = Rehearsal::query()
            ->whereNotNull('ended_at')
            ->with(['box.jobs'])
            ->latest('id')
            ->limit(self::SHOWN)
            ->get();
        $knowledge = KnownCauses::common();

        return view('bench.rehearsal', [
            'boxes' => Box::query()->standing()->where('on_bench', true)->pluck('name', 'id'),
            'open' => Rehearsal::query()->whereNull('ended_at')->with('box')->latest('id')->first(),
            'past' => $past->map(
                fn (Rehearsal $one): array => [
                    'rehearsal' => $one,
                    'hidden' => implode(
                        ' + ',
                        array_map(
                            fn (string $fault): string => $knowledge->causes[Rehearsing::cause($fault)]
                                ->label ?? $fault,
                            $one->faults(),
                        ),
                    ),
                    'best' => Rehearsing::best(
                        $one,
                        $knowledge,
                        $this->examination->circumstances($one->box),
                    ),
                ],
            ),
            'knowledge' => $knowledge,
        ]);
    }

    public function begin(Request $request): RedirectResponse
    {
        $box = Box::query()
            ->standing()
            ->where('on_bench', true)
            ->with('jobs')
            ->find($request->integer('box'));
        if ($box === null) {
            return back()->withInput()->with('told', 'Choose a box whose board stands on the bench.');
        }
        if (Rehearsal::query()->whereNull('ended_at')->exists()) {
            return redirect()
                ->route('rehearsal')
                ->with('told', 'One rehearsal at a time: end the other first.');
        }
        try {
            $this->rehearsing->begin(
                $box,
                $request->integer('how'),
                KnownCauses::common(),
                $this->examination->circumstances($box),
                new Randomizer(),
            );
        } catch (BenchAway $away) {
            return back()->withInput()->with('told', $away->getMessage());
        }

        return redirect()->route('box.diagnosis', $box);
    }

    public function giveUp(Rehearsal $rehearsal): RedirectResponse
    {
        if ($rehearsal->ended_at === null) {
            try {
                $this->rehearsing->giveUp($rehearsal);
            } catch (BenchAway $away) {
                return back()->with('told', $away->getMessage());
            }
        }

        return redirect()->route('rehearsal');
    }
}
