<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Upkeep\RoundDesk;
use App\Upkeep\RoundTold;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Household;
use Burrow\Intake\Intake;
use Burrow\Intake\Updates\UpgradeSummary;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Judgement\Severity;
use Burrow\Upkeep\Round\Evidence;
use Burrow\Upkeep\Round\Round;
use Burrow\Upkeep\Round\RoundFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The plan of upkeep as one run: one box at a time, and the next only when the one before works again. */
final class RoundController
{
    public function __construct(private readonly RoundDesk $desk)
    {
    }

    public function show(Household $house): View|RedirectResponse
    {
        $round = $this->desk->open();
        if ($round === null) {
            return redirect()->route('upkeep');
        }
        $current = $round->current();
        $box = $current === null ? null : $this->box($current->box);
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box?->id);

        return view('upkeep.round', [
            'round' => $round,
            'current' => $current,
            'missed' => $round->isMissed(now()->getTimestamp()),
            'box' => $box,
            'routes' => $box === null || $held === null ? [] : $this->desk->routes($box, $held),
            'zone' => Network::zone(),
            'findings' => Findings::of(
                ...array_map(
                    Finding::kept(...),
                    array_filter(is_array(session('round')) ? session('round') : [], is_array(...)),
                ),
            ),
        ]);
    }

    public function start(Request $request, Household $house): RedirectResponse
    {
        try {
            $this->desk->start($house, $request->string('through')->value() ?: null);
        } catch (RoundTold $told) {
            return redirect()->route('upkeep')->with('told', $told->getMessage());
        }

        return redirect()->route('upkeep.round');
    }

    /** Its hours went by: what is left is planned anew. */
    public function replan(Household $house): RedirectResponse
    {
        try {
            $this->desk->replan($house, null);
        } catch (RoundTold $told) {
            return redirect()->route('upkeep.round')->with('told', $told->getMessage());
        }

        return redirect()->route('upkeep.round')->with('told', 'What is left is planned anew.');
    }

    /** The next box: what it answers now is written down before anything is typed. */
    public function begin(Request $request): RedirectResponse
    {
        return $this->at($request, function (Round $round, Box $box): array {
            [$doors, $names] = $this->desk->meets($box);
            $against = $round->against($doors);
            if ($against->blocks()) {
                return $against->list;
            }
            $this->desk->step(
                fn (Round $now): Round => $now->begin(
                    (string) $box->name,
                    $doors,
                    $names,
                    now()->getTimestamp(),
                ),
            );

            return $against->list;
        });
    }

    /** It was brought up to date: what was printed is read, and what it answered before is asked again. */
    public function look(Request $request, Intake $intake, Household $house): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();

        return $this->at($request, function (Round $round, Box $box) use ($pasted, $intake, $house): array {
            $words = 'by your word';
            if (trim($pasted) !== '') {
                $reading = $intake->read('upgrade', $pasted);
                $summary = $reading->all(UpgradeSummary::class)[0] ?? null;
                if ($summary === null || $reading->findings->blocks()) {
                    return $reading->findings->blocks()
                        ? array_map(
                            fn (Finding $one): Finding => $one->at(Place::field('pasted')),
                            $reading->findings->list,
                        )
                        : [RoundFindings::notAnUpgrade()->at(Place::field('pasted'))];
                }
                $words = $summary->upgraded === 1 ? '1 package' : "{$summary->upgraded} packages";
            }
            [$doors, $names] = $this->desk->meets($box);
            $missing = $round->missing($doors, $names);
            if ($missing->blocks()) {
                return $missing->list;
            }
            $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
            $evidence = Evidence::of(
                $held === null ? null : $house->report($held),
                (int) $round->current()?->began,
            );
            $words .= $evidence->words === '' ? '' : "; {$evidence->words}";
            $this->desk->step(function (Round $now) use ($box, $words): Round {
                $after = $now->over((string) $box->name, $words, now()->getTimestamp());
                $box->update(['updated_system_at' => now(), 'asked_at' => now(), 'answered_at' => now()]);
                JournalEntry::write(
                    $box,
                    'update',
                    "System brought up to date in a round: {$words}; it answers all that it answered before.",
                );

                return $after;
            });

            return $evidence->findings->list;
        });
    }

    public function leave(Request $request): RedirectResponse
    {
        $why = $request->string('because')->value();

        return $this->at($request, function (Round $round, Box $box) use ($why): array {
            if ($why === '') {
                throw new RoundTold('Leaving a box out wants a reason; it goes into the journal.');
            }
            $this->desk->step(
                fn (Round $now): Round => $now->leave(
                    (string) $box->name,
                    mb_strimwidth($why, 0, 190, '…'),
                    now()->getTimestamp(),
                ),
            );
            JournalEntry::write($box, 'overruled', "{$box->called()} was left out of the round: {$why}");

            return [];
        });
    }

    public function end(): RedirectResponse
    {
        $this->desk->end();

        return redirect()->route('upkeep')->with('told', 'The round is over; what is left is planned anew.');
    }

    /**
     * At the box that the page showed, if it is still its turn.
     *
     * @param  callable(Round, Box): list<Finding>  $do
     */
    private function at(Request $request, callable $do): RedirectResponse
    {
        $back = redirect()->route('upkeep.round');
        try {
            $round = $this->desk->open() ?? throw new RoundTold('No round is under way.');
            $current = $round->current();
            if ($current === null || $current->box !== $request->string('stop')->value()) {
                throw new RoundTold(
                    'The round has gone on since, perhaps in another tab. Nothing was changed.',
                );
            }
            $box = $this->box($current->box);
            if ($box === null) {
                $this->desk->step(
                    fn (Round $now): Round => $now->leave(
                        $current->box,
                        'it is in the record no more',
                        now()->getTimestamp(),
                    ),
                );

                return $back;
            }
            $found = $do($round, $box);
        } catch (RoundTold $told) {
            return $back->with('told', $told->getMessage())->withInput($request->only(['pasted', 'because']));
        }
        if ($found === []) {
            return $back;
        }
        $stays = array_filter($found, fn (Finding $one): bool => $one->severity === Severity::Stop);

        return $back
            ->with('round', array_map(fn (Finding $one): array => $one->jsonSerialize(), $found))
            ->withInput($stays === [] ? [] : $request->only(['pasted', 'because']));
    }

    private function box(string $name): ?Box
    {
        return Box::query()
            ->here()
            ->with(['jobs', 'network'])
            ->where('name', $name)
            ->first();
    }
}
