<?php

declare(strict_types=1);

namespace App\Ports;

use App\Models\BoxJob;
use App\Models\Service;
use Burrow\Catalogue\Job\Job;
use Burrow\Ports\PortScheme;

/** Which ports the house has, for the scheme that the next page's port comes from. */
final class PagePorts
{
    /** @param  ?BoxJob  $except  whose own port does not stand in its way */
    public static function scheme(?BoxJob $except = null): PortScheme
    {
        $taken = [];
        foreach (BoxJob::query()->whereNotNull('page_port')->with('box.jobs')->get() as $held) {
            if ($held->id !== $except?->id) {
                $taken[(int) $held->page_port] = "{$held->box->called()}, {$held->called()}";
            }
        }
        foreach (Service::query()->with('box.jobs')->get() as $service) {
            if ($service->box_id !== $except?->box_id) {
                $taken[(int) $service->port] ??= "{$service->box->called()}, {$service->purpose}";
            }
        }

        return new PortScheme($taken);
    }

    /**
     * The port that is proposed for each job's page, where one is asked.
     *
     * @param  list<Job>  $jobs
     * @return array<string, ?int> by the job's id
     */
    public static function propose(array $jobs): array
    {
        $ports = [];
        $given = [];
        foreach ($jobs as $job) {
            $asked = $job->askedPort();
            $port = $asked === null ? null : self::scheme()->with($given)->propose($asked->port)->number;
            $ports[$job->id] = $port;
            $given += $port === null ? [] : [$port => $job->label];
        }

        return $ports;
    }
}
