<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\House\Codes;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Every code of a finding or a working, with when it comes and its source. */
final class CodesController
{
    /** More than there are; a page of them all is what is wanted here. */
    private const MOST = 3000;

    public function __invoke(Request $request): View
    {
        $sought = $request->string('words')->value();

        return view('house.codes', [
            'codes' => $sought === '' ? Codes::all() : Codes::called($sought, self::MOST),
            'of' => count(Codes::all()),
            'sought' => $sought,
        ]);
    }
}
