<?php

declare(strict_types=1);

namespace App\Card;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Network;
use Burrow\Card\CardContext;
use Burrow\Catalogue\Job\Job;
use Burrow\Net\Ipv4;

/** What the household's records say of a box's card: image, network, other boxes, whether it was started before. */
final class HouseKnowledge
{
    /** @param  ?Box  $box  null when the card belongs to none that is known */
    public static function of(?Box $box, Network $network, Catalogue $catalogue): CardContext
    {
        $others = Box::query()
            ->when($box, fn ($query, Box $one) => $query->whereKeyNot($one->id))
            ->get(['id', 'name', 'address']);
        $taken = [];
        foreach ($others as $other) {
            $address = $other->ipv4();
            if ($address instanceof Ipv4) {
                $taken[$address->number] = $other->called();
            }
        }
        $jobs =
            $box === null
                ? []
                : array_filter($box->jobs->map(fn (BoxJob $job): ?Job => $catalogue->job($job->job))->all());
        $schools = $box === null ? [] : $box->jobs->pluck('school')->all();

        return new CardContext(
            image: $box === null ? null : $catalogue->image($box->image),
            network: $network->asLocalNetwork(),
            names: array_values(array_filter($others->pluck('name')->all(), is_string(...))),
            taken: $taken,
            ssids: $network->ssids(),
            started: $box?->host_key !== null,
            lastInstance: $box?->instance,
            containers: in_array('container', $schools, true) ||
                array_filter(
                    $jobs,
                    fn (Job $job): bool => in_array($job->id, ['container-host', 'cluster-node'], true),
                ) !== [],
            sixtyFour: array_filter($jobs, fn (Job $job): bool => $job->bits === 64) !== [],
            ownName: $box?->name,
        );
    }
}
