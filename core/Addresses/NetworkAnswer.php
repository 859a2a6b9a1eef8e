<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\NamedRange;
use Burrow\Addresses\Described\NetworkFile;
use Burrow\Addresses\Described\Room;
use Burrow\Judgement\Findings;
use Burrow\Net\AddressRange;
use Burrow\Net\Prefix;
use JsonSerializable;

/** What is to be said of described networks: figures, what is free, what speaks against them, parts and joins. */
final readonly class NetworkAnswer implements JsonSerializable
{
    /** Gaps that are listed; the figures count all. */
    private const GAPS = 500;

    private const LONGEST_SPLIT = 12;

    /**
     * @param  list<DescribedNetwork>  $networks
     * @param  list<Prefix>  $split
     * @param  list<Prefix>  $joined
     */
    private function __construct(
        public array $networks,
        public array $split,
        public array $joined,
        public Findings $findings,
    ) {
    }

    public static function to(NetworkFile $file): self
    {
        $findings = $file->findings()->and(NetworkRules::against($file->networks, $file->place(...)));
        $split = [];
        if ($file->toSplit !== null && $file->into !== null) {
            $by = $file->into - $file->toSplit->length;
            if ($by > 0 && $by <= self::LONGEST_SPLIT) {
                $split = $file->toSplit->split($file->into);
            } else {
                $findings = $findings->and([
                    NetworkFindings::notSplit($file->toSplit, $file->into, $file->place(['split', 'length'])),
                ]);
            }
        }

        return new self($file->networks, $split, Prefix::joined($file->toJoin), $findings);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'networks' => array_map($this->network(...), $this->networks),
            'split' => array_map($this->prefix(...), $this->split),
            'joined' => array_map($this->prefix(...), $this->joined),
            'findings' => $this->findings,
        ];
    }

    /** @return array<string, mixed> */
    private function network(DescribedNetwork $network): array
    {
        $room = Room::of($network);
        $next = $room->next($room->firstOffered($network));

        return [
            'name' => $network->name,
            ...$this->prefix($network->prefix),
            'reverse_zone' => $network->prefix->reverseZone(),
            'pool_addresses' => array_sum(array_map(fn (AddressRange $pool): int => $pool->size(), $network->pools)),
            'fixed' => count(array_filter($network->hosts, fn ($host): bool => $host->address !== null)),
            'free' => $room->free(),
            'next_free' => $next === null ? null : (string) $next,
            'gaps' => array_map($this->range(...), array_slice($room->gaps, 0, self::GAPS)),
            'ranges' => array_map(function (NamedRange $named) use ($room, $network): array {
                $within = $room->within($named->range);
                $next = $within->next();
                $held = array_filter(
                    $network->hosts,
                    fn ($host): bool => $host->address !== null && $named->range->contains($host->address),
                );

                return [
                    'name' => $named->name,
                    ...$this->range($named->range),
                    'held' => count($held),
                    'free' => $within->free(),
                    'next_free' => $next === null ? null : (string) $next,
                ];
            }, $network->ranges),
        ];
    }

    /** @return array{from: string, to: string, addresses: int} */
    private function range(AddressRange $range): array
    {
        return ['from' => (string) $range->first, 'to' => (string) $range->last, 'addresses' => $range->size()];
    }

    /** @return array<string, mixed> */
    private function prefix(Prefix $prefix): array
    {
        return [
            'prefix' => (string) $prefix,
            'network' => (string) $prefix->network,
            'netmask' => (string) $prefix->netmask(),
            'broadcast' => (string) $prefix->broadcast(),
            'first' => (string) $prefix->hosts()->first,
            'last' => (string) $prefix->hosts()->last,
            'addresses' => $prefix->size(),
            'hosts' => $prefix->hosts()->size(),
        ];
    }
}
