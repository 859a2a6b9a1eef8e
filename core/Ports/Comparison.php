<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Box;
use Burrow\Household\Heard;
use Burrow\Household\Household;
use Burrow\Household\Listing;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;

/** The ports of the record against what really listens on a box. */
final readonly class Comparison
{
    /** What a system's own clients hold: DHCP of both families (RFC 2131, RFC 8415), multicast DNS (RFC 6762). */
    private const OWN = ['udp' => [68, 546, 5353], 'tcp' => []];

    /** @param  list<Pair>  $pairs  by port */
    private function __construct(public array $pairs, public ?Listing $listing)
    {
    }

    public static function of(Household $house, Box $box): self
    {
        return self::between($house->services($box), $house->listing($box));
    }

    /** @param  list<Service>  $services  of one box */
    public static function between(array $services, ?Listing $listing): self
    {
        $heard = [];
        foreach ($listing->heard ?? [] as $one) {
            $heard[$one->place()][] = $one;
        }
        $pairs = [];
        foreach ($services as $service) {
            $pairs[] =
                $listing === null
                    ? new Pair(Met::NotAsked, $service, null)
                    : self::pair($service, $heard[$service->place()] ?? []);
        }
        $known = array_fill_keys(array_map(fn (Service $one): string => $one->place(), $services), true);
        foreach ($heard as $place => $sockets) {
            if (! isset($known[$place])) {
                // The one that reaches furthest tells.
                usort($sockets, fn (Heard $a, Heard $b): int => $a->isLoopback() <=> $b->isLoopback());
                $pairs[] = new Pair(
                    self::isOwn($sockets[0]) ? Met::System : Met::Unplanned,
                    null,
                    $sockets[0],
                );
            }
        }
        usort($pairs, fn (Pair $a, Pair $b): int => $a->port() <=> $b->port() ?: $a->place() <=> $b->place());

        return new self($pairs, $listing);
    }

    /** @return list<Pair> */
    public function that(Met $met): array
    {
        return array_values(array_filter($this->pairs, fn (Pair $pair): bool => $pair->met === $met));
    }

    /** The resolver of the system holds 53 on loopback while another service of this box wants all of 53. */
    public function stubInTheWay(): ?Service
    {
        foreach ($this->listing->heard ?? [] as $one) {
            if ($one->port->number !== 53 || ! str_starts_with($one->address, '127.0.0.5')) {
                continue;
            }
            foreach ($this->that(Met::ForItselfOnly) as $pair) {
                if ($pair->service !== null && $pair->service->port->number === 53) {
                    return $pair->service;
                }
            }
        }

        return null;
    }

    /** @param  list<Heard>  $sockets  on its port */
    private static function pair(Service $service, array $sockets): Pair
    {
        if ($sockets === []) {
            return new Pair(Met::Silent, $service, null);
        }
        $outside = array_values(array_filter($sockets, fn (Heard $one): bool => ! $one->isLoopback()));
        $alone = $service->isLoopback() || $service->reach === WhoReaches::Box;

        return match (true) {
            $alone && $outside !== [] => new Pair(Met::Wider, $service, $outside[0]),
            ! $alone && $outside === [] => new Pair(Met::ForItselfOnly, $service, $sockets[0]),
            default => new Pair(Met::AsPlanned, $service, $outside[0] ?? $sockets[0]),
        };
    }

    private static function isOwn(Heard $heard): bool
    {
        return in_array($heard->port->number, self::OWN[$heard->protocol->value], true) ||
            ($heard->port->number === 53 && str_starts_with($heard->address, '127.0.0.5'));
    }
}
