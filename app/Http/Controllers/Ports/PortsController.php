<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\View\Pages;
use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Ports\PortTable;
use Illuminate\Contracts\View\View;

/** Which box listens where, and what cannot be so. */
final class PortsController
{
    public function __invoke(Household $house): View
    {
        return view('ports.index', [
            'services' => Pages::of($house->services()),
            'listening' => count(
                array_unique(array_map(fn (Service $service): string => $service->box, $house->services())),
            ),
            'boxes' => collect($house->boxes())->keyBy(fn (Box $box): string => $box->name),
            'findings' => (new PortTable())->findings($house),
        ]);
    }
}
