<?php

declare(strict_types=1);

namespace App\Http\Controllers\Journal;

use App\Journal\Measures;
use App\Models\Box;
use App\Models\Network;
use Burrow\Journal\Compare\Spread;
use Burrow\Journal\Draw\StripChart;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What was measured, box by box with its spread: what the tool's estimates for the next one are made from. */
final class MeasuredController
{
    /** Boxes on one picture. */
    private const MOST = 20;

    public function __invoke(Request $request): View
    {
        $asked = $request->string('what')->value();
        $what = isset(Measures::ALL[$asked]) ? $asked : 'copy';
        $rows = [];
        foreach (
            Box::query()
                ->whereNotNull('name')
                ->whereIn('id', Measures::boxes($what))
                ->orderBy('name')
                ->limit(self::MOST)
                ->get() as $box
        ) {
            $readings = Measures::readings($box, $what);
            $readings === [] ||
                ($rows[] = [
                    'box' => $box,
                    'readings' => $readings,
                    'spread' => Spread::of(array_column($readings, 'value')),
                ]);
        }
        $groups = [];
        foreach ($rows as $row) {
            $groups[(string) $row['box']->name] = array_column($row['readings'], 'value');
        }

        return view('journal.measured', [
            'what' => $what,
            'whats' => array_map(fn (array $one): string => $one[0], Measures::ALL),
            'unit' => Measures::ALL[$what][1],
            'rows' => $rows,
            'chart' => $groups === [] ? null : StripChart::of($groups),
            'zone' => Network::zone(),
        ]);
    }
}
