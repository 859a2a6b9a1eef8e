<?php

declare(strict_types=1);

namespace App\Http\Controllers\Journal;

use App\Journal\Measures;
use App\Models\Box;
use App\Models\Network;
use Burrow\Journal\Compare\Permutation;
use Burrow\Journal\Draw\StripChart;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** Two boxes, or one before and after a day, by what was measured: how far apart, and whether it is chance. */
final class CompareController
{
    public function __invoke(Request $request): View
    {
        $what = isset(Measures::ALL[$request->string('what')->value()])
            ? $request->string('what')->value()
            : 'copy';
        $boxes = Box::query()
            ->whereNotNull('name')
            ->where(function (Builder $any): void {
                foreach (array_keys(Measures::ALL) as $kind) {
                    $any->orWhereIn('id', Measures::boxes($kind));
                }
            })
            ->orderBy('name')
            ->limit(200)
            ->get();
        $a = $boxes->firstWhere('name', $request->string('a')->value()) ?? $boxes->first();
        $b = $boxes->firstWhere('name', $request->string('b')->value());
        $typed = trim($request->string('since')->value());
        $since =
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $typed, $m) === 1 &&
            checkdate((int) $m[2], (int) $m[3], (int) $m[1])
                ? new DateTimeImmutable($typed, new DateTimeZone(Network::zone()))
                : null;
        $groups = [];
        if ($a !== null && $since !== null) {
            $groups["{$a->name} before"] = $this->readings($a, $what, null, $since);
            $groups["{$a->name} since"] = $this->readings($a, $what, $since, null);
        } elseif ($a !== null && $b !== null && $a->id !== $b->id) {
            $groups[(string) $a->name] = $this->readings($a, $what, null, null);
            $groups[(string) $b->name] = $this->readings($b, $what, null, null);
        }
        [$one, $two] = [...array_values($groups), [], []];
        $names = array_keys($groups);

        return view('journal.compare', [
            'what' => $what,
            'whats' => array_map(fn (array $one): string => $one[0], Measures::ALL),
            'unit' => Measures::ALL[$what][1],
            'names' => $boxes->pluck('name')->all(),
            'a' => (string) $a?->name,
            'b' => (string) $b?->name,
            'since' => mb_substr($typed, 0, 10),
            'groups' => $groups,
            'test' => $one === [] || $two === []
                    ? null
                    : Permutation::of($one, $two, fn (int $below): int => random_int(0, $below - 1)),
            'chart' => $one === [] || $two === [] ? null : StripChart::of([$names[0] => $one, $names[1] => $two]),
        ]);
    }

    /** @return list<float> the newest readings of a box */
    private function readings(Box $box, string $what, ?DateTimeImmutable $from, ?DateTimeImmutable $to): array
    {
        return array_column(Measures::readings($box, $what, $from, $to), 'value');
    }
}
