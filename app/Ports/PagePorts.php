<?php

declare(strict_types=1);

namespace App\Ports;

use App\Models\BoxJob;
use App\Models\Service;
use Burrow\Catalogue\Job\Job;
use Burrow\Ports\PortScheme;
use Illuminate\Database\Eloquent\Builder;

/** Which ports the house has, for the scheme that the next page's port comes from. */
final class PagePorts
{
    /** @param  ?BoxJob  $except  whose own port does not stand in its way */
    public static function scheme(?BoxJob $except = null): PortScheme
    {
        $taken = [];
        // One holder a number is enough, however many boxes there are.
        $pages = BoxJob::query()
            ->whereNotNull('page_port')
            ->when($except, fn (Builder $all) => $all->where('id', '!=', $except?->id))
            ->groupBy('page_port')
            ->selectRaw('max(id)');
        foreach (BoxJob::query()->whereIn('id', $pages)->with('box.jobs')->get() as $held) {
            $taken[(int) $held->page_port] = "{$held->box->called()}, {$held->called()}";
        }
        $services = Service::query()
            ->when($except, fn (Builder $all) => $all->where('box_id', '!=', $except?->box_id))
            ->groupBy('port')
            ->selectRaw('min(id)');
        foreach (Service::query()->whereIn('id', $services)->with('box.jobs')->get() as $service) {
            $taken[(int) $service->port] ??= "{$service->box->called()}, {$service->purpose}";
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
