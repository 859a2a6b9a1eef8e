<?php

declare(strict_types=1);

namespace App\Reach;

use App\Models\Network;
use App\Models\Networks;
use App\Models\WayIn;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Reach\Tunnel\Mtu;
use Burrow\Reach\Tunnel\PlannedDevice;
use Burrow\Reach\Tunnel\TunnelDescription;
use Burrow\Reach\Tunnel\TunnelKey;
use Burrow\Reach\Tunnel\TunnelNet;
use Burrow\Reach\Tunnel\TunnelPlan;
use InvalidArgumentException;

/** The household's own tunnel, from its record. */
final class HouseTunnel
{
    private const PORT = 51944;

    public static function of(Network $network): TunnelPlan
    {
        $kept = $network->tunnel ?? [];
        $house = array_values(
            array_filter(
                Networks::all()
                    ->map(fn (Network $one): ?Prefix => Prefix::tryParse((string) $one->prefix))
                    ->all(),
            ),
        );
        try {
            $net = new TunnelNet($kept['net'] ?? '');
        } catch (InvalidArgumentException) {
            $net = TunnelDescription::freeNet($house);
        }
        $port = (int) ($kept['port'] ?? self::PORT);
        $key = $kept['public_key'] ?? '';
        $resolver = Ipv4::tryParse((string) $network->dns);

        return new TunnelPlan(
            (string) ($network->outside_name ?: $network->wan),
            $port >= 1 && $port <= 65535 ? $port : self::PORT,
            TunnelKey::isOne($key) ? $key : null,
            $net,
            array_map(strval(...), $house),
            $resolver === null ? [] : [(string) $resolver],
            self::devices($network, $net),
            new Mtu(1500, true),
        );
    }

    /** The next address inside that no device has, whether its key was taken back or not. */
    public static function nextAddress(Network $network, TunnelNet $net): ?string
    {
        $taken = WayIn::query()->where('network_id', $network->id)->pluck('address')->filter()->flip();
        for ($number = 1; $number < $net->prefix->size() - 2; $number++) {
            if (! isset($taken[$net->device($number)])) {
                return $net->device($number);
            }
        }

        return null;
    }

    /** @return list<PlannedDevice> */
    private static function devices(Network $network, TunnelNet $net): array
    {
        $devices = [];
        foreach (
            WayIn::query()
                ->where('network_id', $network->id)
                ->where('kind', 'tunnel')
                ->whereNull('taken_back_at')
                ->orderBy('id')
                ->get() as $way
        ) {
            $address = Ipv4::tryParse((string) $way->address);
            if ($address !== null && $net->prefix->contains($address)) {
                $key = (string) $way->public_key;
                $devices[] = new PlannedDevice(
                    // A comment of the file ends with its line.
                    trim((string) preg_replace('/\p{C}/u', '', (string) $way->device)),
                    TunnelKey::isOne($key) ? $key : null,
                    (string) $address,
                );
            }
        }

        return $devices;
    }
}
