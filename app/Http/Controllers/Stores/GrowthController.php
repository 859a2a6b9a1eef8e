<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use Burrow\Judgement\Findings;
use Burrow\Stores\Draw\GrowthPicture;
use Burrow\Stores\Grow\Growth;
use Burrow\Stores\StoresFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What pictures, recordings, logs and snapshots that come by themselves hold in the end, and whether the disk does. */
final class GrowthController
{
    /** Field: least, most, what it is where nobody said. */
    private const FIELDS = [
        'room' => [0.01, 200_000, 500],
        'picture' => [0, 200, 3],
        'every' => [0.1, 86_400, 30],
        'lit' => [0, 24, 14],
        'lapse_days' => [0.1, 36_500, 90],
        'megabits' => [0, 1_000, 2],
        'moving' => [0, 24, 6],
        'recording_days' => [0.1, 36_500, 30],
        'queries' => [0, 1e9, 40_000],
        'line' => [1, 100_000, 110],
        'log_days' => [0.1, 36_500, 14],
        'changed' => [0, 100_000, 2],
        'snapshot_days' => [0.1, 36_500, 30],
    ];

    public function __invoke(Request $request): View
    {
        $typed = $wrong = [];
        $value = array_fill_keys(array_keys(self::FIELDS), -1.0);
        foreach (self::FIELDS as $field => [$least, $most, $usual]) {
            $typed[$field] = mb_substr(trim($request->string($field, (string) $usual)->value()), 0, 12);
            $isOne = preg_match('/^\d{1,10}(?:\.\d{1,4})?$/D', $typed[$field]) === 1;
            $value[$field] = $isOne ? (float) $typed[$field] : -1.0;
            if ($value[$field] < $least || $value[$field] > $most) {
                $wrong[] = StoresFindings::notBetween($field, $least, $most);
            }
        }
        $all =
            $wrong === []
                ? [
                    Growth::timeLapse($value['picture'], $value['every'], $value['lit'], $value['lapse_days']),
                    Growth::recording($value['megabits'], $value['moving'], $value['recording_days']),
                    Growth::queryLog($value['queries'], $value['line'], $value['log_days']),
                    Growth::snapshots($value['changed'], $value['snapshot_days']),
                ]
                : [];
        $room = $value['room'] * 1e9;

        return view('stores.growth', [
            'typed' => $typed,
            'findings' => Findings::of(...$wrong),
            'all' => $all,
            'room' => $room,
            'held' => array_sum(array_map(fn (Growth $one): float => $one->held(), $all)),
            'full' => Growth::fullAfter($all, $room),
            'picture' => $all === [] ? null : GrowthPicture::of($all, $room),
        ]);
    }
}
