<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Network;
use App\Models\Sighting;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Draw\Standing;
use Burrow\Addresses\Draw\StandingKind;
use Burrow\Addresses\NetworkExtras;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use Illuminate\Database\Eloquent\Collection;

/** The household's network as core describes networks: from its row, its boxes and what was seen in it. */
final readonly class HouseNetworks
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    public function described(Network $network): DescribedNetwork
    {
        $local = $network->asLocalNetwork();
        $extras = $this->extras($network);

        return new DescribedNetwork(
            $network->name,
            $local->prefix,
            $local->router,
            [$local->pool],
            $extras->dns,
            $local->domain,
            $extras->ipv6,
            $network->wan === null ? null : Ipv4::tryParse($network->wan),
            $extras->ranges,
            array_values(array_map($this->host(...), $this->boxes($network)->all())),
        );
    }

    public function extras(Network $network): NetworkExtras
    {
        return NetworkExtras::of(
            $network->dns ?? '',
            $network->ipv6 ?? '',
            $network->ranges ?? '',
            $network->asLocalNetwork()->prefix,
        );
    }

    /** @return Collection<int, Box> that have a name or an address, by address */
    public function boxes(Network $network): Collection
    {
        return Box::query()
            ->where('network_id', $network->id)
            ->whereNotNull('name')
            ->whereNotNull('address')
            ->with('jobs')
            ->orderByRaw('INET_ATON(address)')
            ->get();
    }

    /**
     * Who stands where, for the band: boxes, the router, and machines that were seen and are none of ours.
     *
     * @return list<Standing>
     */
    public function standing(Network $network): array
    {
        $router = $network->asLocalNetwork()->router;
        $standing = [new Standing($router, 'router', StandingKind::Router)];
        $held = [(string) $router => true];
        $macs = [];
        foreach ($this->boxes($network) as $box) {
            $address = $box->ipv4();
            if ($address === null) {
                continue;
            }
            $macs[$box->mac ?? ''] = true;
            $kind = match (true) {
                isset($held[(string) $address]) => StandingKind::Clash,
                $box->fixed_address => StandingKind::Static,
                $box->pinned_at !== null => StandingKind::Reservation,
                default => StandingKind::Planned,
            };
            $held[(string) $address] = true;
            $standing[] = new Standing($address, $box->called(), $kind, "/boxes/{$box->id}");
        }
        foreach (Sighting::query()->where('network_id', $network->id)->limit(5000)->get() as $seen) {
            $address = Ipv4::tryParse($seen->address);
            if ($address !== null && ! isset($macs[$seen->mac ?? '']) && ! isset($held[(string) $address])) {
                $name = $seen->label ?? ($seen->name ?? 'somebody');
                $standing[] = new Standing($address, $name, StandingKind::Seen, '/addresses/find');
            }
        }

        return $standing;
    }

    private function host(Box $box): Host
    {
        $filters = false;
        foreach ($box->jobs as $held) {
            $filters = $filters || $this->catalogue->job($held->job)?->servesAll === 'names';
        }

        return new Host(
            $box->called(),
            $box->ipv4(),
            $box->mac === null ? null : Mac::tryParse($box->mac),
            $box->fixed_address ? HeldBy::Static : HeldBy::Reservation,
            '',
            $filters,
            null,
            [],
            $box->user ?? '',
        );
    }
}
