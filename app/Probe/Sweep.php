<?php

declare(strict_types=1);

namespace App\Probe;

use App\Models\Network;
use Burrow\Addresses\Find\Seen;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use InvalidArgumentException;

/**
 * Who is there in a part of the household's own network, by TCP connections that are tried all at once: a port that is
 * open or refused is somebody's. Silence is nobody's, or a wall's; so those that were silent are asked for an echo,
 * where this machine may do that.
 */
final readonly class Sweep
{
    /** Addresses of one part; a network of a home is one part. */
    public const PART = 256;

    /** Larger networks are looked at up to here, in address order. */
    public const MOST = 4096;

    /** What nearly every machine answers to, in one way or the other. */
    private const FIRST = [22, 80];

    /** Asked of those that are there. */
    private const THEN = [53, 443, 445, 8081];

    public function __construct(private TcpProbe $tcp, private PingProbe $pings)
    {
    }

    /**
     * @param  int  $from  offset in the prefix
     * @return list<Seen> without hardware addresses, which TCP does not tell
     */
    public function part(Network $network, int $from, bool $onBench): array
    {
        $prefix = $network->asLocalNetwork()->prefix;
        $addresses = [];
        for ($offset = $from; $offset < min($from + self::PART, $prefix->size()); $offset++) {
            $address = $prefix->network->offset($offset);
            if ($prefix->hosts()->contains($address)) {
                $addresses[] = $address;
            }
        }
        $met = $this->ask($network, $addresses, self::FIRST, $onBench);
        $silent = array_filter($addresses, fn (Ipv4 $one): bool => ! isset($met[(string) $one]));
        foreach (
            array_keys(
                $this->pings->askAll($this->targets($network, $silent, [self::FIRST[0]], $onBench)),
                true,
                true,
            ) as $key
        ) {
            $met[explode(' ', $key)[0]] = [];
        }
        $there = array_values(array_filter($addresses, fn (Ipv4 $one): bool => isset($met[(string) $one])));
        foreach ($this->ask($network, $there, self::THEN, $onBench) as $address => $open) {
            $met[$address] = [...$met[$address], ...$open];
        }

        return array_map(
            fn (Ipv4 $one): Seen => new Seen(null, (string) $one, null, $met[(string) $one]),
            $there,
        );
    }

    /**
     * @param  array<Ipv4>  $addresses
     * @param  list<int>  $ports
     * @return array<string, Target> by address and port
     */
    private function targets(Network $network, array $addresses, array $ports, bool $onBench): array
    {
        $targets = [];
        foreach ($addresses as $address) {
            foreach ($ports as $port) {
                try {
                    $targets["{$address} {$port}"] = Target::in($network, $address, $port, $onBench);
                } catch (InvalidArgumentException) {
                    // Not of this network, or where the bench has no place: it is not asked.
                    continue;
                }
            }
        }

        return $targets;
    }

    /**
     * @param  list<Ipv4>  $addresses
     * @param  list<int>  $ports
     * @return array<string, list<int>> open ports of those that answered at all
     */
    private function ask(Network $network, array $addresses, array $ports, bool $onBench): array
    {
        $met = [];
        foreach (
            $this->tcp->askAll($this->targets($network, $addresses, $ports, $onBench)) as $key => $state
        ) {
            [$address, $port] = explode(' ', $key);
            if ($state !== DoorState::Silent) {
                $met[$address] ??= [];
                $state === DoorState::Open && ($met[$address][] = (int) $port);
            }
        }

        return $met;
    }
}
