<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use App\Models\Box;
use App\Models\FolderPair;
use App\Models\JournalEntry;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Stores\Alike\AlikeConcern;
use Burrow\Stores\Alike\AlikeSaid;
use Burrow\Stores\Alike\AlikeScript;
use Burrow\Stores\Alike\TypedPair;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Folders that are kept alike on two machines: whether they are, and what travels that should not. */
final class AlikeController
{
    private const SHOWN = 60;

    private const CONFLICTS = 40;

    public function index(Household $house): View
    {
        $typed = old('pair_peer') === null && old('pair_folder') === null ? [] : $this->typed(old(...));

        return view('stores.alike', [
            'pairs' => FolderPair::query()
                ->whereIn('box_id', Box::query()->here()->select('id'))
                ->with('box')
                ->orderBy('id')
                ->limit(self::SHOWN)
                ->get(),
            'scripts' => AlikeScript::of(...),
            'findings' => (new AlikeConcern())->findings($house),
            'boxes' => Box::query()->here()->whereNotNull('name')->orderBy('id')->pluck('name', 'id')->all(),
            'typed' => $typed,
            'judged' => $typed === [] ? Findings::of() : TypedPair::of($house, $typed)->findings,
            'conflicts' => is_array(session('conflicts')) ? session('conflicts') : [],
        ]);
    }

    public function store(Request $request, Household $house): RedirectResponse
    {
        $typed = TypedPair::of($house, $this->typed(fn (string $field): mixed => $request->input($field)));
        if ($typed->findings->blocks() || $typed->box === null) {
            return redirect()
                ->to(route('alike').'#pair')
                ->withInput($request->only(TypedPair::FIELDS))
                ->with('told', 'It was not written down yet.');
        }
        $pair = FolderPair::query()->updateOrCreate(
            ['box_id' => $typed->box->id, 'folder' => $typed->folder, 'peer' => $typed->peer],
            ['keeps_days' => $typed->keepsDays],
        );
        JournalEntry::write(
            $pair->box,
            'alike',
            "{$typed->folder} of {$pair->box->called()} is kept alike with {$typed->peer}.",
        );

        return redirect()
            ->route('alike')
            ->with('told', 'It is written down. Now look whether both ends hold the same.');
    }

    /** What the look at both ends said. */
    public function said(Request $request, FolderPair $pair): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();
        $said = AlikeSaid::of($pasted);
        $back = redirect()->to(route('alike')."#pair-{$pair->id}");
        if ($said->isEmpty()) {
            return $back
                ->withInput(['pasted' => mb_substr($pasted, 0, 20_000), 'looked' => $pair->id])
                ->with('told', 'The line that begins with “alike” is not in this text.');
        }
        $alike = $said->isAlike();
        $pair->update(
            ($alike === null && $said->conflicts === [] ? [] : ['conflicts' => count($said->conflicts)]) +
                match ($alike) {
                    true => ['in_step_at' => now(), 'differed_at' => null],
                    false => ['differed_at' => now()],
                    null => [],
                },
        );
        $words = match ($alike) {
            true => "both ends hold the same {$said->ends[0]['files']} files",
            false => "the ends do not hold the same: {$said->ends[0]['files']} and {$said->ends[1]['files']} files",
            null => 'one end was looked at; paste what the other says, too',
        };
        if ($alike !== null) {
            JournalEntry::write($pair->box, 'alike', "{$pair->folder} and {$pair->peer}: {$words}.");
        }

        return $back
            ->withInput(
                $alike === null ? ['pasted' => mb_substr($pasted, 0, 20_000), 'looked' => $pair->id] : [],
            )
            ->with('told', ucfirst($words).'.')
            ->with(
                'conflicts',
                array_slice(array_map(strval(...), array_keys($said->conflicts)), 0, self::CONFLICTS),
            );
    }

    public function away(FolderPair $pair): RedirectResponse
    {
        JournalEntry::write(
            $pair->box,
            'alike',
            "{$pair->folder} and {$pair->peer} are no longer in the record as kept alike.",
        );
        $pair->delete();

        return redirect()
            ->route('alike')
            ->with(
                'told',
                'It is out of the record. The programs on both machines go on until they are told.',
            );
    }

    /**
     * @param  callable(string): mixed  $of
     * @return array<string, string>
     */
    private function typed(callable $of): array
    {
        $typed = [];
        foreach (TypedPair::FIELDS as $field) {
            $value = $of($field);
            $typed[$field] = is_string($value) ? $value : '';
        }

        return $typed;
    }
}
