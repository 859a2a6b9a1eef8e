<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Household\Household;
use Burrow\Upkeep\Care\TypedCare;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What the household does by itself, again and again: written down, done, taken out. */
final class CareController
{
    public function store(Request $request, Household $house): RedirectResponse
    {
        $typed = [];
        foreach (TypedCare::FIELDS as $field) {
            $typed[$field] = $request->string($field)->value();
        }
        $care = TypedCare::of($house, $typed);
        $back = redirect()->to(route('upkeep').'#care');
        if ($care->findings->blocks()) {
            return $back->withInput($typed)->with('told', 'It was not written down yet.');
        }
        $kept = $this->change(
            fn (array $cares): array => count($cares) >= Network::MOST_CARES
                ? $cares
                : [
                    ...$cares,
                    [
                        'id' => 1 + max([0, ...array_column($cares, 'id')]),
                        'box' => $care->box,
                        'what' => $care->what,
                        'every' => $care->everyDays,
                        'done' => $care->done,
                    ],
                ],
        );

        return $back->with('told', $kept ? 'It is written down.' : 'More than that is no list any more.');
    }

    public function done(Request $request): RedirectResponse
    {
        $id = $request->integer('care');
        $what = null;
        $this->change(function (array $cares) use ($id, &$what): array {
            foreach ($cares as $i => $one) {
                if ($one['id'] === $id) {
                    $cares[$i]['done'] = now(Network::zone())->format('Y-m-d');
                    $what = $one['what'].($one['box'] === '' ? '' : " ({$one['box']})");
                }
            }

            return $cares;
        });
        if ($what !== null) {
            JournalEntry::write(Network::home(), 'care', "Done: {$what}.");
        }

        return redirect()
            ->to(route('upkeep').'#care')
            ->with('told', $what === null ? 'It is no longer there.' : 'Done today.');
    }

    public function away(Request $request): RedirectResponse
    {
        $id = $request->integer('care');
        $this->change(
            fn (array $cares): array => array_values(
                array_filter($cares, fn (array $one): bool => $one['id'] !== $id),
            ),
        );

        return redirect()
            ->to(route('upkeep').'#care')
            ->with('told', 'It is out of the list.');
    }

    /**
     * Two at once wait for each other, so that neither writes over what the other wrote.
     *
     * @param  callable(list<array{id: int, box: string, what: string, every: int, done: string}>): array<mixed>  $with
     * @return bool whether anything is another one now
     */
    private function change(callable $with): bool
    {
        return DB::transaction(function () use ($with): bool {
            $network = Network::query()->orderBy('id')->lockForUpdate()->firstOrFail();
            $before = $network->cares();
            $after = $with($before);
            $network->update([
                'cares' => json_encode($after, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            ]);

            return $after !== $before;
        });
    }
}
