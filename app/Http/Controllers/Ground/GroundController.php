<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Catalogue\Catalogue;
use App\Household\Concerns;
use App\Models\Network;
use App\View\Pages;
use Burrow\Ground\Draw\Dwellings;
use Burrow\Ground\Draw\Gathered;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Ground\Gathering;
use Burrow\Ground\Outlook;
use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Due;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The whole network as a picture, and what needs somebody now. */
final class GroundController
{
    public function __invoke(Request $request, Household $house, Catalogue $catalogue): View
    {
        $network = Network::home();
        $keeper = $request->user()?->isKeeper() === true;
        $due = $keeper
            ? array_keys(
                array_filter(Calendar::of($house), fn (Due $due): bool => $due->isOverdue() || $due->isSoon()),
            )
            : [];

        $boxes = Dwellings::of($house, $due);

        return view('ground.index', [
            'network' => $network,
            'outlook' => new Outlook($house, count($due), $keeper),
            'findings' => Gathering::of(Concerns::all(), $house, $keeper)
                ->and($network->findings())
                ->and($catalogue->unread())
                ->gravestFirst(),
            'picture' => GroundPlan::draw(
                Gathered::of($boxes),
                $request->has('narrow') ? GroundPlan::NARROW : GroundPlan::WIDE,
            ),
            // The first word of what is said of a silent box is its name.
            'silent' => array_column(
                array_filter($house->standing(), fn (Box $box): bool => $box->is(HearingState::Silent)),
                'id',
                'name',
            ),
            'boxes' => Pages::of($boxes),
            'ids' => array_column($house->boxes(), 'id', 'name'),
        ]);
    }
}
