<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Move\KnownOfBox;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Household\Stage;
use Burrow\Move\Rebuild;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What if this box died tonight, and what is done when it did. */
final class RebuildController
{
    public function show(Household $house, KnownOfBox $known, Box $box): View
    {
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null || ! $held->stage->stands(), 404);

        return view('move.rebuild', [
            'box' => $box,
            'rebuild' => Rebuild::of($house, $held, $known->of($box)),
        ]);
    }

    /**
     * It died: the same box on another board. Its plan, name, address, jobs with what was answered, and all that hangs
     * on it stay; what was of the old board and card is forgotten, and the next thing is its card.
     */
    public function begin(Request $request, Household $house, BenchClient $bench, Box $box): RedirectResponse
    {
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null || ! $held->stage->stands(), 404);
        $back = redirect()->route('box.lost', $box);
        if ($held->is(HearingState::Answers)) {
            return $back->with('told', "{$box->called()} answers. What is alive is moved, not made anew.");
        }
        if ($request->string('rebuild_name')->value() !== $box->name) {
            return $back->with('told', "Type {$box->name}, so that it is the one that is meant.");
        }
        if ($box->run()->whereNull('finished_at')->exists()) {
            return $back->with('told', 'A run of it is under way. That one first.');
        }
        DB::transaction(function () use ($box): void {
            $box->update([
                'stage' => Stage::Named,
                'made_anew_at' => now(),
                'card_written_at' => null,
                'instance' => null,
                'mac' => null,
                'host_key' => null,
                'host_key_at' => null,
                'pinned_at' => null,
                'version' => $box->version + 1,
            ]);
            $box->jobs()->update(['finished_at' => null]);
            JournalEntry::write(
                $box,
                'moved',
                "{$box->called()} is made anew from its records, on another board.",
            );
        });

        // On the bench the board that died goes, and the next card goes into another one.
        if ($box->on_bench) {
            try {
                $bench->ask(['do' => 'scrap', 'board' => "box-{$box->id}"]);
            } catch (BenchAway) {
                // Without the bench there is no board on it either.
            }
        }

        return redirect()
            ->route('box.card', $box)
            ->with(
                'told',
                'Its name, address and jobs stay. First its card; at the end what it kept is brought back.',
            );
    }
}
