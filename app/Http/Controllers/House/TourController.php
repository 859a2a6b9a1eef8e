<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\House\Tour;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The tour on the bench: shown, begun, ended. */
final class TourController
{
    public function show(Request $request): View
    {
        return view('house.tour', ['tour' => Tour::now($request->session())]);
    }

    public function begin(Request $request): RedirectResponse
    {
        Tour::begin($request->session());
        $tour = Tour::now($request->session());

        return redirect($tour->where ?? '/');
    }

    public function end(Request $request): RedirectResponse
    {
        Tour::end($request->session());

        return redirect('/')->with(
            'told',
            'The tour is over. It begins anew whenever you like: find “tour”.',
        );
    }
}
