<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Catalogue\Catalogue;
use App\Models\Identity;
use App\Models\Network;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\NamedRange;
use Burrow\Addresses\Draw\Standing;
use Burrow\Addresses\Draw\StandingKind;
use Burrow\Addresses\NetworkExtras;
use Burrow\Catalogue\Job\Job;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use Burrow\Net\SshPublicKey;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The household's network as core describes networks: from its row, its boxes and what was seen in it. */
final readonly class HouseNetworks
{
    /** Machines that were seen and are drawn. */
    private const SEEN = 5000;

    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @param  bool  $outside  with the address towards the provider, which is nothing for guests */
    public function described(Network $network, bool $outside = true): DescribedNetwork
    {
        $local = $network->asLocalNetwork();
        $extras = $this->extras($network);
        $filters = $this->filters();
        $keys = $this->keys();
        $kind = self::rangeOfBoxes($extras->ranges);

        return new DescribedNetwork(
            $network->name,
            $local->prefix,
            $local->router,
            [$local->pool],
            $extras->dns,
            $local->domain,
            $extras->ipv6,
            $network->wan === null || ! $outside ? null : Ipv4::tryParse($network->wan),
            $extras->ranges,
            array_map(
                fn (stdClass $box): Host => new Host(
                    (string) $box->name,
                    Ipv4::tryParse((string) $box->address),
                    Mac::tryParse((string) $box->mac),
                    $box->fixed_address ? HeldBy::Static : HeldBy::Reservation,
                    $kind,
                    isset($filters[$box->id]),
                    null,
                    [],
                    (string) $box->user,
                    22,
                    $keys[$box->id] ?? [],
                ),
                $this->boxes($network),
            ),
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

    /**
     * Boxes that have a name and an address, by address: id, name, address, mac, user, fixed_address, pinned_at.
     *
     * @return list<stdClass>
     */
    public function boxes(Network $network): array
    {
        return once(
            fn (): array => array_values(
                DB::table('boxes')
                    ->where('network_id', $network->id)
                    ->whereNotNull('name')
                    ->whereNotNull('address')
                    ->orderByRaw('INET_ATON(address)')
                    ->get(['id', 'name', 'address', 'mac', 'user', 'fixed_address', 'pinned_at'])
                    ->all(),
            ),
        );
    }

    /**
     * Who stands where, for the band: boxes, the router, and machines that were seen and are none of ours.
     *
     * @param  bool  $strangers  with those that are none of ours
     * @return list<Standing>
     */
    public function standing(Network $network, bool $strangers): array
    {
        $router = $network->asLocalNetwork()->router;
        $standing = [new Standing($router, 'router', StandingKind::Router)];
        $held = [(string) $router => true];
        $macs = [];
        foreach ($this->boxes($network) as $box) {
            $address = Ipv4::tryParse((string) $box->address);
            if ($address === null) {
                continue;
            }
            $macs[(string) $box->mac] = true;
            $kind = match (true) {
                isset($held[(string) $address]) => StandingKind::Clash,
                (bool) $box->fixed_address => StandingKind::Static,
                $box->pinned_at !== null => StandingKind::Reservation,
                default => StandingKind::Planned,
            };
            $held[(string) $address] = true;
            $standing[] = new Standing($address, (string) $box->name, $kind);
        }
        if (! $strangers) {
            return $standing;
        }
        $seen = DB::table('sightings')->where('network_id', $network->id)->limit(self::SEEN);
        foreach ($seen->get(['mac', 'address', 'name', 'label']) as $one) {
            $address = Ipv4::tryParse((string) $one->address);
            if ($address !== null && ! isset($macs[(string) $one->mac]) && ! isset($held[(string) $address])) {
                $name = $one->label ?? ($one->name ?? 'somebody');
                $standing[] = new Standing($address, (string) $name, StandingKind::Seen);
            }
        }

        return $standing;
    }

    /**
     * Boxes belong into the range of the scheme that is called after them; empty where none is.
     *
     * @param  list<NamedRange>  $ranges
     */
    private static function rangeOfBoxes(array $ranges): string
    {
        foreach ($ranges as $range) {
            if (preg_match('/\b(?:box|boxes|servers?)\b/i', $range->name) === 1) {
                return $range->name;
            }
        }

        return '';
    }

    /** @return array<int, list<SshPublicKey>> by the box: the key that is kept, where it is kept whole */
    private function keys(): array
    {
        $keys = [];
        $rows = DB::table('identities')
            ->join('boxes', 'boxes.id', '=', 'identities.box_id')
            ->where('kind', Identity::KINDS['host_key'])
            ->whereColumn('identities.value', 'boxes.host_key')
            ->whereNotNull('whole')
            ->get(['box_id', 'whole']);
        foreach ($rows as $row) {
            $key = SshPublicKey::tryParse((string) $row->whole);
            $key === null || ($keys[(int) $row->box_id][] = $key);
        }

        return $keys;
    }

    /** @return array<int, true> ids of boxes that answer names for the house */
    private function filters(): array
    {
        $jobs = array_filter($this->catalogue->shelf()->jobs, fn (Job $job): bool => $job->servesAll === 'names');
        $held = DB::table('box_jobs')->whereIn('job', array_keys($jobs))->pluck('box_id')->all();

        return array_fill_keys(array_filter($held, is_int(...)), true);
    }
}
