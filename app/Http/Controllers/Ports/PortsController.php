<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\Models\Service;
use Burrow\Household\Household;
use Burrow\Ports\PortTable;
use Illuminate\Contracts\View\View;

/** Which box listens where, and what cannot be so. */
final class PortsController
{
    public function __invoke(Household $house): View
    {
        $services = Service::query()->with('box')->orderBy('port')->orderBy('box_id')->get();

        return view('ports.index', ['services' => $services, 'findings' => (new PortTable())->findings($house)]);
    }
}
