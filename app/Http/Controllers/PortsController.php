<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Service;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Ports\PortTable;
use Burrow\Ports\PortUse;
use Illuminate\Contracts\View\View;

/** Which box listens where, and what cannot be so. */
final class PortsController
{
    public function __invoke(): View
    {
        $services = Service::query()->with('box')->orderBy('port')->orderBy('box_id')->get();
        $uses = array_values(
            $services
                ->map(
                    fn (Service $service): PortUse => new PortUse(
                        (string) $service->box->called(),
                        Port::of($service->port),
                        Protocol::from($service->protocol),
                        $service->purpose,
                    ),
                )
                ->all(),
        );

        return view('ports.index', ['services' => $services, 'findings' => (new PortTable($uses))->findings()]);
    }
}
