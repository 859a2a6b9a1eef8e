<?php

declare(strict_types=1);

namespace App\Http\Controllers\Boxes;

use App\Models\Medium;
use Burrow\Household\Household;
use Burrow\Paper\Labels;
use Burrow\Paper\LabelSize;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Labels for boxes, supplies and cards, on sheets as they are sold. */
final class LabelsController
{
    private const MOST = 600;

    public function __invoke(Request $request, Household $house): View
    {
        $size = LabelSize::tryFrom($request->string('size')->value()) ?? LabelSize::Middle;
        $skip = min($size->perSheet() - 1, max(0, $request->integer('skip')));
        $cards = [];
        foreach (Medium::query()->orderBy('label')->limit(self::MOST)->get() as $medium) {
            $cards[(string) $medium->label] =
                $medium->purpose.($medium->may_be_wiped ? '' : ', not to be wiped');
        }
        $labels = array_slice(Labels::of($house, $cards), 0, self::MOST);

        return view('boxes.labels', [
            'size' => $size,
            'skip' => $skip,
            'count' => count($labels),
            'sheets' => array_map(
                fn (array $sheet): array => Labels::placed($sheet, $size),
                Labels::sheets($labels, $size, $skip),
            ),
        ]);
    }
}
