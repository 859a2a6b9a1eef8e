<?php

declare(strict_types=1);

namespace Burrow\Ports\Filter;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\PacketFilter;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Ports\PortFindings;

/** What the packet filters of the boxes let in, against who is meant to reach their ports. */
final readonly class FilterAgainstLedger implements Concern
{
    /** A machine of nobody's house (RFC 5737). */
    private const STRANGER = '198.51.100.7';

    public function findings(Household $house): Findings
    {
        $found = [];
        foreach ($house->boxes() as $box) {
            $filter = $house->packetFilter($box);
            if ($filter === null || ! $filter->active) {
                continue;
            }
            $walk = FilterWalk::of($filter->rules);
            $shut = $wide = [];
            foreach ($house->services($box) as $service) {
                $verdict = self::verdict($house, $box, $service, $walk);
                if ($verdict === Verdict::KeepsOut) {
                    $shut[] = $service;
                } elseif (self::isWider($house, $box, $service, $walk)) {
                    $wide[] = $service;
                }
            }
            $shut === [] || ($found[] = PortFindings::filterShuts($box->name, $shut));
            $wide === [] || ($found[] = PortFindings::filterWider($box->name, $wide));
            $needless = self::needless($house, $box, $filter);
            $needless === [] || ($found[] = PortFindings::filterOpens($box->name, $needless));
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return true;
    }

    /** What the filter does with somebody who is meant to reach a port; null where nobody told of the filter. */
    public static function verdict(Household $house, Box $box, Service $service, FilterWalk $walk): ?Verdict
    {
        $source = match ($house->reaches($service)) {
            WhoReaches::Box => null,
            WhoReaches::World => Ipv4::parse(self::STRANGER),
            WhoReaches::Some => self::member($service) ?? self::neighbour($house, $box),
            default => self::neighbour($house, $box),
        };

        return $source === null
            ? null
            : $walk->verdict($service->protocol, $service->port->number, $source, $box->address);
    }

    /** Somebody comes in who is not meant to. */
    private static function isWider(Household $house, Box $box, Service $service, FilterWalk $walk): bool
    {
        $neighbour = self::neighbour($house, $box);
        $kept = match ($house->reaches($service)) {
            WhoReaches::Box => $service->isLoopback() ? null : $neighbour,
            WhoReaches::Some => $neighbour !== null &&
            $service->from !== [] &&
            ! self::isMember($service, $neighbour)
                ? $neighbour
                : null,
            default => null,
        };

        return $kept !== null &&
            $walk->verdict($service->protocol, $service->port->number, $kept, $box->address) ===
                Verdict::LetsIn;
    }

    /** Any other machine of the house: the first box that has another address. */
    private static function neighbour(Household $house, Box $box): ?Ipv4
    {
        foreach ($house->boxes() as $other) {
            if ($other->address !== null && (string) $other->address !== (string) $box->address) {
                return $other->address;
            }
        }

        return null;
    }

    private static function member(Service $service): ?Ipv4
    {
        foreach ($service->from as $one) {
            $address = Ipv4::tryParse($one) ?? Prefix::tryParse($one)?->hosts()->first;
            if ($address !== null) {
                return $address;
            }
        }

        return null;
    }

    private static function isMember(Service $service, Ipv4 $address): bool
    {
        foreach ($service->from as $one) {
            if ($one === (string) $address || Prefix::tryParse($one)?->contains($address) === true) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> "9000/tcp": what rules let in by their number, and no service of the record has */
    private static function needless(Household $house, Box $box, PacketFilter $filter): array
    {
        $planned = [];
        foreach ($house->services($box) as $service) {
            $planned[$service->place()] = true;
        }
        $needless = [];
        foreach ($filter->rules as $rule) {
            $place = "{$rule->port}/{$rule->protocol}";
            if (
                self::opens($rule) &&
                ! isset($planned[$place]) &&
                ! in_array($rule->port, [5353, 68, 546], true)
            ) {
                $needless[$place] = $place;
            }
        }

        return array_values($needless);
    }

    private static function opens(FirewallRule $rule): bool
    {
        return $rule->port !== null &&
            $rule->portTo === null &&
            $rule->hook === 'input' &&
            in_array($rule->protocol, ['tcp', 'udp'], true) &&
            in_array($rule->action, ['accept', 'limit'], true);
    }
}
