<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Catalogue\Catalogue;
use App\Ground\GroundFacts;
use App\Models\Network;
use App\Upkeep\Calendar;
use Burrow\Ground\Draw\GroundPlan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class GroundController
{
    public function __invoke(Request $request, Catalogue $catalogue, Calendar $calendar): View
    {
        $network = Network::home();
        $facts = new GroundFacts($network, $catalogue, $calendar, $request->user());
        $outlook = $facts->outlook();

        return view('ground.index', [
            'network' => $network,
            'outlook' => $outlook,
            'findings' => $outlook->findings()->and($network->findings())->and($catalogue->unread())->gravestFirst(),
            'picture' => GroundPlan::draw($facts->dwellings()),
            'ids' => $facts->boxes->pluck('id', 'name'),
        ]);
    }
}
