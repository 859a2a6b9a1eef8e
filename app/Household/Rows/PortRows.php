<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Household\Told;
use Burrow\Household\Access;
use Burrow\Household\Certificate;
use Burrow\Household\DoorState;
use Burrow\Household\Opening;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Net\Address;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Ports, openings of the router, and certificates of pages. */
final class PortRows extends HouseRows
{
    private const MOST_CERTIFICATES = 2000;

    /** @return list<Service> */
    public function services(): array
    {
        $rows = DB::table('services')
            ->join('boxes', 'boxes.id', '=', 'services.box_id')
            ->where(self::here(...))
            ->orderBy('services.port')
            ->orderBy('services.box_id')
            ->get([
                'boxes.name',
                'services.id',
                'services.port',
                'services.protocol',
                'services.purpose',
                'services.state',
                'services.looked_at',
                'services.bound',
                'services.reach',
                'services.access',
                'services.scheme',
                'services.path',
                'services.inner_port',
                'services.sources',
            ]);
        $services = $rows->map(function (stdClass $row): ?Service {
            $port = Port::tryOf((int) $row->port);
            $protocol = Protocol::tryFrom((string) $row->protocol);

            return $port === null || $protocol === null
                ? null
                : new Service(
                    (string) $row->name,
                    $port,
                    $protocol,
                    (string) $row->purpose,
                    DoorState::tryFrom((string) $row->state),
                    $this->time($row->looked_at),
                    is_string($row->bound) ? Address::standard($row->bound) : null,
                    WhoReaches::tryFrom((string) $row->reach) ?? WhoReaches::House,
                    Access::tryFrom((string) $row->access),
                    (string) $row->scheme,
                    (string) $row->path,
                    Port::tryOf((int) $row->inner_port)?->number,
                    (int) $row->id,
                    array_values(array_filter(explode(' ', (string) $row->sources))),
                );
        });

        return array_values(array_filter($services->all()));
    }

    /** @return list<Opening> */
    public function openings(): array
    {
        $rows = DB::table('openings')
            ->join('boxes', 'boxes.id', '=', 'openings.box_id')
            ->where(self::here(...))
            ->orderBy('openings.id')
            ->get([
                'boxes.name',
                'openings.id',
                'openings.outside_port',
                'openings.inside_port',
                'openings.protocol',
                'openings.review_on',
                'openings.purpose',
                'openings.owner',
                'openings.reason',
            ]);

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Opening => new Opening(
                        (string) $row->name,
                        (int) $row->outside_port,
                        (string) $row->protocol,
                        $this->day($row->review_on),
                        Port::tryOf((int) $row->inside_port)?->number,
                        (string) $row->purpose,
                        (string) $row->owner,
                        (string) $row->reason,
                        (int) $row->id,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Certificate> that pages showed when they were last asked */
    public function certificates(): array
    {
        $rows = DB::table('certificates')->orderBy('ends_at')->limit(self::MOST_CERTIFICATES)->get();
        $pages = [];
        foreach ($rows->isEmpty() ? [] : $this->services() as $service) {
            $pages[$service->id] = $service;
        }
        $certificates = [];
        foreach ($rows as $row) {
            $page = $pages[(int) $row->service_id] ?? null;
            $seen = $this->time($row->seen_at);
            if ($page !== null && $seen !== null) {
                $certificates[] = new Certificate(
                    $page,
                    (string) $row->sha256,
                    (string) $row->holder,
                    (string) $row->issuer,
                    Told::texts($row->names),
                    $this->time($row->starts_at),
                    $this->time($row->ends_at),
                    $seen,
                    $this->time($row->changed_at),
                    $this->time($row->before_ended_at),
                );
            }
        }

        return $certificates;
    }
}
