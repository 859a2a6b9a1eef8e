<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Box;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Service;

/** The state of the bench that goes with the demo data: a board for every box in service, one of them without power. */
final class DemoBench
{
    /** @return array<string, mixed> */
    public static function state(): array
    {
        $boxes = Box::query()->standing()->with('services')->get();
        $reservations = $leases = [];
        foreach ($boxes as $box) {
            $reservations[(string) $box->mac] = (string) $box->address;
            $leases[(string) $box->mac] = [
                'address' => (string) $box->address,
                'name' => (string) $box->name,
                'expires' => time() + 40000,
            ];
        }
        $leases['02:11:5e:ed:00:05'] = [
            'address' => '172.22.8.104',
            'name' => 'desk-computer',
            'expires' => time() + 20000,
        ];
        $leases['02:11:5e:ed:00:06'] = [
            'address' => '172.22.8.117',
            'name' => '',
            'expires' => time() + 31000,
        ];

        return [
            'speed' => 20,
            'inside' => [
                'dns' => preg_split('/[\s,]+/', (string) Network::home()->dns, -1, PREG_SPLIT_NO_EMPTY) ?: [],
                'domain' => (string) Network::home()->domain,
            ],
            'router' => ['reservations' => $reservations, 'leases' => $leases],
            'line' => [
                'kind' => 'changing',
                'name' => (string) Network::home()->outside_name,
                'openings' => Opening::query()
                    ->with('box')
                    ->get()
                    ->mapWithKeys(
                        fn (Opening $one): array => [
                            "{$one->outside_port} {$one->protocol}" => [
                                'address' => (string) $one->box->address,
                                'port' => $one->inside_port,
                            ],
                        ],
                    )
                    ->all(),
            ],
            'boards' => array_values(
                $boxes
                    ->map(
                        fn (Box $box): array => [
                            'id' => 'box-'.$box->id,
                            'mac' => (string) $box->mac,
                            'class' => ucfirst($box->board),
                            'networkAfter' => 30,
                            'powered' => $box->silent_since === null,
                            'firstBootDone' => true,
                            'name' => (string) $box->name,
                            'machine' => ['groups' => [$box->user ?? 'root' => []]],
                            'services' => array_values(
                                $box->services
                                    ->map(
                                        fn (Service $service): array => [
                                            'port' => $service->port,
                                            'protocol' => $service->protocol,
                                        ],
                                    )
                                    ->all(),
                            ),
                        ],
                    )
                    ->all(),
            ),
        ];
    }
}
