<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Protocol;

/** What cannot be true of the ports of all boxes, or will go wrong. */
final readonly class PortTable implements Concern
{
    /** Linux hands these out to outgoing connections by default (ip-sysctl, ip_local_port_range). */
    public const EPHEMERAL_FIRST = 32768;

    public const EPHEMERAL_LAST = 60999;

    public function findings(Household $house): Findings
    {
        $findings = self::clashes($house->services());
        $ofBox = [];
        foreach ($house->services() as $service) {
            $ofBox[$service->box][] = $service;
            if (self::isEphemeral($service)) {
                $findings[] = TypedPortFindings::ephemeral($service);
            }
            $reach = $house->reaches($service);
            if ($service->access?->isOpenToAll() === true && $reach->atLeast(WhoReaches::Some)) {
                $findings[] = PortFindings::anybodyIsIn($service, $service->access, $reach);
            }
        }
        foreach ($ofBox as $services) {
            $plain = self::plainBesideSafe($services);
            $plain === null || ($findings[] = PortFindings::plainBesideSafe($plain));
        }
        foreach ($house->standing() as $box) {
            $comparison = Comparison::of($house, $box);
            $unknown = array_values(
                array_filter(
                    $comparison->that(Met::Unplanned),
                    fn (Pair $pair): bool => $pair->heard?->isLoopback() === false,
                ),
            );
            $unknown === [] || ($findings[] = PortFindings::unplanned($box->name, $unknown));
            $stub = $comparison->stubInTheWay();
            $stub === null || ($findings[] = PortFindings::stubInTheWay($stub));
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }

    public static function isEphemeral(Service $service): bool
    {
        $number = $service->port->number;

        // One port of a tunnel that only waits is never taken from under it: it is bound before anything goes out.
        return $service->protocol === Protocol::Tcp &&
            $number >= self::EPHEMERAL_FIRST &&
            $number <= self::EPHEMERAL_LAST;
    }

    /**
     * @param  list<Service>  $services
     * @return list<Finding> one for each group of services that want one place
     */
    public static function clashes(array $services): array
    {
        $held = [];
        foreach ($services as $service) {
            $held["{$service->box} {$service->place()}"][] = $service;
        }
        $findings = [];
        foreach ($held as $same) {
            $groups = count($same) > 1 ? self::groups($same) : [];
            foreach ($groups as $group) {
                $findings[] = PortFindings::clash($group);
            }
        }

        return $findings;
    }

    /**
     * Those of one box, protocol and port that want one address: who wants all of them stands in everybody's way.
     *
     * @param  non-empty-list<Service>  $same
     * @return list<non-empty-list<Service>>
     */
    private static function groups(array $same): array
    {
        $groups = [];
        foreach ($same as $service) {
            $against = array_values(
                array_filter(
                    $same,
                    fn (Service $one): bool => $one === $service || $one->clashesWith($service),
                ),
            );
            if (count($against) > 1) {
                $key = implode(' ', array_map(spl_object_id(...), $against));
                $groups[$key] = $against;
            }
        }
        // A service for one address clashes with the one for all; that pair is told with the widest group only.
        usort($groups, fn (array $a, array $b): int => count($b) <=> count($a));
        $told = [];
        $found = [];
        foreach ($groups as $group) {
            $new = array_filter($group, fn (Service $one): bool => ! isset($told[spl_object_id($one)]));
            if ($new !== []) {
                $found[] = $group;
                foreach ($group as $one) {
                    $told[spl_object_id($one)] = true;
                }
            }
        }

        return $found;
    }

    /**
     * A page without encryption that others reach, where the same box has one with it.
     *
     * @param  list<Service>  $services  of one box
     */
    private static function plainBesideSafe(array $services): ?Service
    {
        $safe = array_filter(
            $services,
            fn (Service $one): bool => $one->scheme === 'https' && ! $one->isLoopback(),
        );
        foreach ($safe === [] ? [] : $services as $service) {
            foreach ($safe as $other) {
                if (
                    $service->scheme === 'http' &&
                    ! $service->isLoopback() &&
                    $service->purpose === $other->purpose
                ) {
                    return $service;
                }
            }
        }

        return null;
    }
}
