<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Catalogue\Catalogue;
use App\Ground\GroundPage;
use App\Household\Kept;
use App\Models\Networks;
use App\View\Pages;
use Burrow\Ground\Draw\Choice;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The whole network as a picture, and what needs somebody now. */
final class GroundController
{
    public function __invoke(Request $request, Kept $kept, Catalogue $catalogue): View
    {
        $network = Networks::home();
        $keeper = $request->user()?->isKeeper() === true;
        $narrow = $request->has('narrow');
        $choice = Choice::of($request->string('show')->value(), $request->string('order')->value());
        $page = GroundPage::kept(
            $kept,
            $catalogue,
            $network,
            $keeper,
            $narrow,
            Pages::at(),
            Pages::at('needs'),
            $choice,
        );

        return view('ground.index', [
            'network' => $network,
            'page' => $page,
            'choice' => $choice,
            'needs' => Pages::shown($page->needs, $page->ofNeeds, Pages::SHEETS, 'needs'),
            'boxes' => Pages::shown($page->boxes, $page->of),
        ]);
    }
}
