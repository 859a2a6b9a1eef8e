<?php

declare(strict_types=1);

namespace App\Ports;

use App\Models\Network;
use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Ports\Write\BoxPorts;
use Burrow\Ports\Write\FilteredPort;

/** The ports of a box as its packet filter needs them, from the household's record. */
final class FilteredPorts
{
    /**
     * @param  Network  $network  that the box is in; whoever is in the home network comes from the house, too. Other
     *                            networks of the house may be there because they are not trusted.
     */
    public static function of(Household $house, Box $box, Network $network): BoxPorts
    {
        $home = Network::home();

        $ports = array_map(
            fn (Service $service): FilteredPort => new FilteredPort(
                $service->port,
                null,
                $service->protocol,
                // A comment of nftables has no way to write these.
                trim((string) preg_replace('/["\\\\\p{C}]/u', '', $service->purpose)),
                // Where nobody said who "some" are, the house is the next wider circle.
                $house->reaches($service) === WhoReaches::Some && $service->from === []
                    ? WhoReaches::House
                    : $house->reaches($service),
                $house->reaches($service) === WhoReaches::Some ? $service->from : [],
            ),
            $house->services($box),
        );

        return new BoxPorts(
            $box->name,
            array_values(
                array_filter(
                    array_unique([
                        (string) $network->prefix,
                        (string) $network->ipv6,
                        (string) $home->prefix,
                        (string) $home->ipv6,
                    ]),
                    fn (string $one): bool => $one !== '',
                ),
            ),
            array_values(array_filter([$home->tunnelPrefix()], fn (string $one): bool => $one !== '')),
            $ports,
        );
    }
}
