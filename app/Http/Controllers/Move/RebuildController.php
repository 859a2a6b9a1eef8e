<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\Models\Box;
use App\Move\KnownOfBox;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Household;
use Burrow\Move\Rebuild;
use Illuminate\Contracts\View\View;

/** What if this box died tonight? */
final class RebuildController
{
    public function __invoke(Household $house, KnownOfBox $known, Box $box): View
    {
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null || ! $held->stage->stands(), 404);

        return view('move.rebuild', [
            'box' => $box,
            'rebuild' => Rebuild::of($house, $held, $known->of($box)),
        ]);
    }
}
