<?php

declare(strict_types=1);

namespace App\Http\Controllers\Filter;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Rollout;
use Burrow\Filter\FilterFindings;
use Burrow\Filter\Rollout\Counter;
use Burrow\Filter\Rollout\HandOut;
use Burrow\Filter\Rollout\LeaseWait;
use Burrow\Filter\Rollout\LightsOut;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A filter comes to the house: one client first, then all, with a record before and after and a way back. */
final class RolloutController
{
    public function index(): View
    {
        $boxes = $this->filters();
        $rollout = Rollout::query()
            ->whereIn('box_id', $boxes->modelKeys())
            ->with('box')
            ->latest('id')
            ->first();
        $counters = $rollout?->counters() ?? [];
        $last = $counters[count($counters) - 1] ?? null;

        return view('filter.rollout', [
            'boxes' => $boxes,
            'network' => Network::home(),
            'zone' => Network::zone(),
            'rollout' => $rollout,
            'wait' => $rollout === null ? null : new LeaseWait((int) $rollout->lease_seconds),
            'counters' => $counters,
            'compared' => $last === null || count($counters) < 2
                    ? Findings::of()
                    : Findings::of(...Counter::compare($counters[count($counters) - 2], $last)),
            'judged' => is_array(session('wrong'))
                ? Findings::of(Finding::kept(session('wrong')))
                : Findings::of(),
        ]);
    }

    public function begin(Request $request): RedirectResponse
    {
        $box = $this->filters()->find($request->integer('rollout_box'));
        $school = HandOut::tryFrom($request->string('hand_out')->value());
        $first = trim($request->string('first')->value());
        $hours = trim($request->string('lease_hours')->value());
        $lease =
            preg_match('/^\d{1,4}(?:\.\d{1,2})?$/D', $hours) === 1 ? (int) round((float) $hours * 3600) : 0;
        $wrong = match (true) {
            $box === null => FilterFindings::typed('Which filter is it?', false)->at(
                Place::field('rollout_box'),
            ),
            $school === null => FilterFindings::typed('How do clients come to ask it?', false)->at(
                Place::field('hand_out'),
            ),
            $first === '' || mb_strlen($first) > 60 => FilterFindings::typed(
                'Which client is first? Up to 60 letters.',
                false,
            )->at(Place::field('first')),
            $lease < LeaseWait::LEAST || $lease > LeaseWait::MOST => FilterFindings::notALease(
                $hours,
                LeaseWait::LEAST,
                LeaseWait::MOST,
            ),
            default => null,
        };
        if ($wrong !== null) {
            return redirect()
                ->to(route('filter.rollout').'#begin')
                ->withInput($request->only(['rollout_box', 'hand_out', 'first', 'lease_hours']))
                ->with('wrong', $wrong->jsonSerialize());
        }
        Rollout::query()->create([
            'box_id' => $box->id,
            'school' => $school->value,
            'first' => $first,
            'lease_seconds' => $lease,
            'counts' => [],
        ]);
        JournalEntry::write($box, 'filter', "{$box->called()} comes to the house, {$first} first.");

        return redirect()
            ->route('filter.rollout')
            ->with('told', 'Note what its counter shows before anybody asks it.');
    }

    /** What its page counts now. */
    public function count(Request $request, Rollout $rollout): RedirectResponse
    {
        $total = trim($request->string('count_total')->value());
        $refused = trim($request->string('count_refused')->value());
        $number = '/^\d{1,12}$/D';
        $wrong = match (true) {
            preg_match($number, $total) !== 1 => ['count_total', 'Questions are a whole number.'],
            preg_match($number, $refused) !== 1 => ['count_refused', 'Refused are a whole number.'],
            (int) $refused > (int) $total => ['count_refused', 'More cannot be refused than was asked.'],
            default => null,
        };
        if ($wrong !== null) {
            return redirect()
                ->to(route('filter.rollout').'#counter')
                ->withInput($request->only(['count_total', 'count_refused']))
                ->with(
                    'wrong',
                    FilterFindings::typed($wrong[1], false)
                        ->at(Place::field($wrong[0]))
                        ->jsonSerialize(),
                );
        }
        $rollout->changeInTurn(function (Rollout $now) use ($total, $refused): array {
            $counts = array_slice(is_array($now->counts) ? $now->counts : [], 1 - Rollout::COUNTS);
            $counts[] = [
                'at' => now()->toIso8601String(),
                'when' => match (true) {
                    $now->house_at !== null => 'house',
                    $counts === [] => 'before',
                    default => 'first',
                },
                'total' => (int) $total,
                'refused' => (int) $refused,
            ];

            return ['counts' => $counts];
        });
        JournalEntry::write(
            $rollout->box,
            'filter',
            "{$rollout->box->called()}: {$refused} of {$total} questions refused.",
        );

        return redirect()
            ->to(route('filter.rollout').'#counter')
            ->with('told', 'Noted.');
    }

    /** The whole house asks it from now on, or no longer. */
    public function turn(Request $request, Rollout $rollout): RedirectResponse
    {
        $back = $request->boolean('back');
        $network = Network::home();
        $own = (string) $rollout->box->address;
        $handed = $rollout->handOut() === HandOut::Handed;
        $kept = array_values(
            array_filter(
                preg_split('/[\s,]+/', (string) ($handed ? $network->dns : $network->router_asks)) ?: [],
                fn (string $one): bool => $one !== '' && $one !== $own,
            ),
        );
        if ($back) {
            $rollout->update(['back_at' => now(), 'house_at' => null]);
            $network->update([
                $handed ? 'dns' : 'router_asks' => implode(' ', $kept) ?: ($handed ? $network->router : null),
            ]);
        } else {
            $rollout->update(['house_at' => now(), 'back_at' => null]);
            // What else is handed out may be a second filter, and is looked at by what is said of it.
            $network->update([
                $handed ? 'dns' : 'router_asks' => implode(' ', [
                    $own,
                    ...array_diff($kept, [(string) $network->router]),
                ]),
            ]);
        }
        JournalEntry::write(
            $rollout->box,
            'filter',
            $back
                ? "The house no longer asks {$rollout->box->called()}."
                : "The house asks {$rollout->box->called()}.",
        );

        return redirect()
            ->route('filter.rollout')
            ->with(
                'told',
                $back
                    ? 'It is written down; the router has to say so, too.'
                    : 'It is written down, with its time.',
            );
    }

    /** For paper: how somebody gets names back who does not know the house. */
    public function lightsOut(): View
    {
        $network = Network::home();
        $boxes = $this->filters();
        $rollout = Rollout::query()->whereIn('box_id', $boxes->modelKeys())->latest('id')->first();
        $filters = [];
        foreach ($boxes as $box) {
            $box->address === null || ($filters[] = [$box->called(), (string) $box->address]);
        }
        $page = [];
        foreach (is_array($network->router_page) ? $network->router_page : [] as $key => $text) {
            is_string($text) && ($page[(string) $key] = $text);
        }

        return view('filter.lights-out', [
            'network' => $network,
            'filters' => $filters,
            'sheet' => $filters === []
                    ? null
                    : LightsOut::of(
                        $rollout?->handOut() ?? HandOut::Handed,
                        Ipv4::tryParse((string) $network->router) ?? $network->asLocalNetwork()->router,
                        $filters,
                        $page,
                    ),
        ]);
    }

    /** @return Collection<int, Box> boxes that answer names for the house */
    private function filters(): Collection
    {
        return Box::query()->naming()->orderBy('id')->get();
    }
}
