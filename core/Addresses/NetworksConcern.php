<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\HouseNetwork;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;

/**
 * What speaks against the networks as they are described and against who stands where in them, as far as it costs an
 * evening; the rest is said in Addresses. Boxes outside of their network are somebody else's concern.
 */
final readonly class NetworksConcern implements Concern
{
    public function findings(Household $house): Findings
    {
        $networks = array_map(
            fn (HouseNetwork $one): DescribedNetwork => self::described($one, $house->standing()),
            $house->networks(),
        );

        return Findings::of(
            ...array_values(
                array_filter(
                    NetworkRules::against($networks)->list,
                    fn (Finding $one): bool => $one->severity->rank() >= Severity::Warn->rank(),
                ),
            ),
        );
    }

    public function isForGuests(): bool
    {
        return false;
    }

    /** @param  list<Box>  $boxes */
    private static function described(HouseNetwork $network, array $boxes): DescribedNetwork
    {
        $extras = NetworkExtras::of($network->dns, $network->ipv6, $network->ranges, $network->local->prefix);

        return new DescribedNetwork(
            $network->name,
            $network->local->prefix,
            $network->local->router,
            [$network->local->pool],
            $extras->dns,
            $network->local->domain,
            $extras->ipv6,
            $network->wan,
            hosts: array_values(
                array_map(
                    fn (Box $box): Host => new Host(
                        $box->name,
                        $box->address,
                        $box->mac,
                        $box->keepsAddress ? HeldBy::Reservation : HeldBy::Dhcp,
                        filters: $box->servesAll() === 'names',
                    ),
                    array_filter(
                        $boxes,
                        fn (Box $box): bool => $box->networkId === $network->id &&
                            $box->address !== null &&
                            $box->covered,
                    ),
                ),
            ),
        );
    }
}
