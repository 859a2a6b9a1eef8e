<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Catalogue\Catalogue;
use App\Household\Concerns;
use App\Models\Network;
use Burrow\Ground\Draw\Dwellings;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Ground\Gathering;
use Burrow\Ground\Outlook;
use Burrow\Household\Box;
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

        return view('ground.index', [
            'network' => $network,
            'outlook' => new Outlook($house, count($due), $keeper),
            'findings' => Gathering::of(Concerns::all(), $house, $keeper)
                ->and($network->findings())
                ->and($catalogue->unread())
                ->gravestFirst(),
            'picture' => GroundPlan::draw(
                Dwellings::of($house, $due),
                $request->has('narrow') ? GroundPlan::NARROW : GroundPlan::WIDE,
            ),
            'ids' => collect($house->boxes())->mapWithKeys(fn (Box $box): array => [$box->name => $box->id]),
        ]);
    }
}
