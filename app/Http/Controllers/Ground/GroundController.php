<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Catalogue\Catalogue;
use App\Ground\GroundFacts;
use App\Models\Network;
use App\Upkeep\Calendar;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class GroundController
{
    public function __invoke(Request $request, Catalogue $catalogue, Calendar $calendar): View
    {
        $network = Network::home();
        $facts = new GroundFacts($network, $catalogue, $calendar);
        $outlook = $facts->outlook();

        return view('ground.index', [
            'network' => $network,
            'outlook' => $outlook,
            'findings' => $this->shown($outlook->findings()->and($network->findings())->and($catalogue->unread())->gravestFirst(), $request),
            'picture' => GroundPlan::draw($facts->dwellings()),
            'ids' => $facts->boxes->pluck('id', 'name'),
        ]);
    }

    /** A guest is not told which boxes wait for updates, nor what can be reached without need. */
    private function shown(Findings $findings, Request $request): Findings
    {
        return $request->user()?->isKeeper() === true
            ? $findings
            : Findings::of(...array_values(array_filter($findings->list, fn (Finding $finding): bool => ! str_starts_with($finding->code, 'upkeep.') && $finding->code !== 'ground.needless_opening')));
    }
}
