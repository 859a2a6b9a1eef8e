<?php

declare(strict_types=1);

namespace App\Http\Controllers\Journal;

use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Journal\Compare\Blind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use InvalidArgumentException;

/**
 * Two people and two settings: one switches by a list that the other does not see, who writes down what was heard. The
 * list is drawn here and kept in the session until it is judged.
 */
final class BlindController
{
    private const KEPT = 'blind';

    public function show(Request $request): View
    {
        $open = $this->open($request);

        return view('journal.blind', [
            'open' => $open[0] ?? null,
            'names' => [$open[1] ?? '', $open[2] ?? ''],
            'helper' => $request->boolean('helper') && $open !== null,
        ]);
    }

    public function begin(Request $request): RedirectResponse
    {
        $names = [$request->string('thing_a')->value(), $request->string('thing_b')->value()];
        $trials = $request->integer('trials');
        if ($names[0] === '' || $names[1] === '' || $names[0] === $names[1]) {
            return $this->wrong('Name the two things; they are not the same.')->withInput(
                $request->only(['thing_a', 'thing_b', 'trials']),
            );
        }
        if ($trials < Blind::LEAST || $trials > Blind::MOST) {
            return $this->wrong('From '.Blind::LEAST.' to '.Blind::MOST.' times.')->withInput(
                $request->only(['thing_a', 'thing_b', 'trials']),
            );
        }
        $played = implode(
            '',
            array_map(fn (): string => random_int(0, 1) === 0 ? 'A' : 'B', range(1, $trials)),
        );
        $request->session()->put(self::KEPT, ['played' => $played, 'a' => $names[0], 'b' => $names[1]]);

        return redirect()->route('journal.blind');
    }

    public function judge(Request $request): RedirectResponse
    {
        $open = $this->open($request);
        if ($open === null) {
            return redirect()->route('journal.blind');
        }
        [$blind, $one, $other] = $open;
        $heard = $blind->heard($request->string('heard')->value());
        if ($heard === null) {
            return $this->wrong("Write {$blind->trials()} letters, each A or B.")->withInput(
                $request->only('heard'),
            );
        }
        $request->session()->forget(self::KEPT);
        $said =
            "Blind, {$one} (A) against {$other} (B): {$blind->sentence($heard)} ".
            "Played {$blind->played}, heard {$heard}.";
        JournalEntry::write(Network::home(), 'measured', $said);

        return redirect()->route('journal.blind')->with('told', $said);
    }

    /** @return ?array{Blind, string, string} what was drawn, and what A and B are; null while nothing is open */
    private function open(Request $request): ?array
    {
        $kept = $request->session()->get(self::KEPT);
        if (! is_array($kept) || ! is_string($kept['played'] ?? null)) {
            return null;
        }
        try {
            return [
                Blind::played($kept['played']),
                is_string($kept['a'] ?? null) ? $kept['a'] : 'A',
                is_string($kept['b'] ?? null) ? $kept['b'] : 'B',
            ];
        } catch (InvalidArgumentException) {
            return null;
        }
    }

    private function wrong(string $said): RedirectResponse
    {
        return redirect()->route('journal.blind')->with('blind_wrong', $said);
    }
}
