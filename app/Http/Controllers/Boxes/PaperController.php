<?php

declare(strict_types=1);

namespace App\Http\Controllers\Boxes;

use App\Catalogue\Catalogue;
use App\Models\Box;
use Burrow\Household\Household;
use Burrow\Paper\BoxCard;
use Illuminate\Contracts\View\View;

/** A box on one page, to be printed and laid beside it. */
final class PaperController
{
    public function __invoke(Box $box, Household $house, Catalogue $catalogue): View
    {
        $pictured = collect($house->boxes())->firstWhere('id', $box->id);
        abort_if($pictured === null, 404);

        return view('boxes.paper', [
            'box' => $box,
            'card' => BoxCard::of($house, $pictured, $catalogue->board($box->board)->lights ?? ''),
            'page' => route('box', $box),
        ]);
    }
}
