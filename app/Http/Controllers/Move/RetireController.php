<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Move\KnownOfBox;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Household;
use Burrow\Household\Stage;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Move\MoveFindings;
use Burrow\Move\Retirement;
use Carbon\Carbon;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Takes a box out of service: what hangs on it first, then its address, at last its card; with a way back. */
final class RetireController
{
    public const FIELDS = ['retire_name', 'wipe_on'];

    public function __construct(private readonly Household $house, private readonly KnownOfBox $known)
    {
    }

    public function show(Box $box): View
    {
        return view('move.retire', [
            'box' => $box,
            'retirement' => $this->of($box),
            'judged' => is_array(session('wrong'))
                ? Findings::of(Finding::kept(session('wrong')))
                : Findings::of(),
            'until' => now(Network::zone())->addDays(Retirement::KEPT_DAYS)->format('Y-m-d'),
        ]);
    }

    public function retire(Request $request, Box $box): RedirectResponse
    {
        $retirement = $this->of($box);
        $day = self::day($request->string('wipe_on')->value());
        $wrong = match (true) {
            $request->string('retire_name')->value() !== $box->name => ['retire_name', "Type {$box->name}."],
            $day === null => ['wipe_on', 'A day from today on, within two years, as 2027-01-31.'],
            default => null,
        };
        if ($wrong !== null) {
            return redirect()
                ->route('box.retire', $box)
                ->withInput($request->only(self::FIELDS))
                ->with(
                    'wrong',
                    MoveFindings::typed($wrong[1])
                        ->at(Place::field($wrong[0]))
                        ->jsonSerialize(),
                );
        }
        if ($retirement->findings->blocks()) {
            return redirect()
                ->route('box.retire', $box)
                ->withInput($request->only(self::FIELDS))
                ->with('told', 'It was not taken out: what is said above has to be over first.');
        }
        $had = $box->address ?? 'no address';
        DB::transaction(function () use ($box, $day, $had): void {
            $box->update([
                'stage' => Stage::Retired,
                'retired_at' => now(),
                'wipe_on' => $day,
                'wiped_at' => null,
                'address' => null,
                'pinned_at' => null,
            ]);
            JournalEntry::write(
                $box,
                'retired',
                "{$box->called()} was taken out of service. It had {$had}; its card is kept until {$day?->format(
                    'j M Y',
                )}.",
            );
        });

        return redirect()
            ->route('box', $box)
            ->with('told', "{$box->called()} is out of service, and {$had} is free.");
    }

    /** The way back: it stands again, unfinished, until somebody has looked at it and it has an address. */
    public function takeBack(Box $box): RedirectResponse
    {
        abort_unless($box->stage === Stage::Retired && $box->wiped_at === null, 409, 'There is no way back.');
        $had = $box->identities()->where('kind', 'address')->value('value');
        $free =
            is_string($had) &&
            ! Box::query()->where('network_id', $box->network_id)->where('address', $had)->exists();
        DB::transaction(function () use ($box, $had, $free): void {
            $box->update([
                'stage' => Stage::Unfinished,
                'retired_at' => null,
                'wipe_on' => null,
                'address' => $free ? $had : null,
            ]);
            JournalEntry::write(
                $box,
                'retired',
                "{$box->called()} is taken back".($free ? " at {$had}." : ', without an address.'),
            );
        });

        return redirect()
            ->route('box', $box)
            ->with(
                'told',
                match (true) {
                    $free && $box->fixed_address => "It is at {$had} on record again, which stands on its card. Put that in.",
                    $free => "It is at {$had} on record again. Enter its reservation in the router, then put its card in.",
                    is_string($had) => 'Somebody else has its address by now: give it another one.',
                    default => 'It had no address; give it one.',
                },
            );
    }

    /** By somebody's word: nothing from here can look at a card in a drawer. */
    public function wiped(Box $box): RedirectResponse
    {
        abort_unless($box->stage === Stage::Retired && $box->wiped_at === null, 409, 'It is not retired.');
        $box->update(['wiped_at' => now()]);
        JournalEntry::write($box, 'retired', "The card of {$box->called()} was wiped, by word.");

        return redirect()->route('box', $box)->with('told', 'Its card is wiped, by your word.');
    }

    private function of(Box $box): Retirement
    {
        abort_unless($box->stage->stands(), 404);
        $held = collect($this->house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null, 404);

        return Retirement::of($this->house, $held, $this->known->of($box), $box->mac);
    }

    private static function day(string $typed): ?Carbon
    {
        $zone = Network::zone();
        $day =
            preg_match('/^\d{4}-\d\d-\d\d$/D', $typed) === 1
                ? Carbon::createFromFormat('!Y-m-d', $typed, $zone)
                : null;

        return $day !== null &&
            $day->format('Y-m-d') === $typed &&
            $day->betweenIncluded(now($zone)->startOfDay(), now($zone)->addYears(2))
            ? $day
            : null;
    }
}
