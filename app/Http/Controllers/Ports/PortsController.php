<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

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
        $uses = array_values(array_filter($services->map(self::use(...))->all()));

        return view('ports.index', ['services' => $services, 'findings' => (new PortTable($uses))->findings()]);
    }

    /** A port as the core knows it; null for a row that is none. */
    private static function use(Service $service): ?PortUse
    {
        $port = Port::tryOf($service->port);
        $protocol = Protocol::tryFrom($service->protocol);

        return $port === null || $protocol === null ? null : new PortUse($service->box->called(), $port, $protocol, $service->purpose);
    }
}
