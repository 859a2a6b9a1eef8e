<?php

declare(strict_types=1);

namespace Bench\Net;

/** A router's address service: a pool, reservations by hardware address, and a lease file as such routers keep it. */
final class Router
{
    private const LEASE_SECONDS = 43200;

    /**
     * @param  array<string, string>  $reservations  hardware address => address
     * @param  array<string, array{address: string, name: string, expires: int}>  $leases  by hardware address
     */
    public function __construct(
        private readonly string $poolFirst,
        private readonly string $poolLast,
        private array $reservations = [],
        private array $leases = [],
    ) {
    }

    public function reserve(string $mac, string $address): void
    {
        $this->reservations[$mac] = $address;
    }

    /** A board asks for an address. A reservation counts; else the one it had; else the first free of the pool. */
    public function ask(string $mac, string $name, int $now): string
    {
        $address = $this->reservations[$mac] ?? ($this->leases[$mac]['address'] ?? $this->free());
        $this->leases[$mac] = [
            'address' => $address,
            'name' => $name,
            'expires' => $now + self::LEASE_SECONDS,
        ];

        return $address;
    }

    /** The board's lease is another one now, whatever was reserved: the last of the pool that nobody has. */
    public function move(string $mac, string $name, int $now): string
    {
        $held = [...array_column($this->leases, 'address'), ...array_values($this->reservations)];
        $number = (int) ip2long($this->poolLast);
        while (in_array(long2ip($number), $held, true) && $number > (int) ip2long($this->poolFirst)) {
            $number--;
        }
        $this->leases[$mac] = [
            'address' => (string) long2ip($number),
            'name' => $name,
            'expires' => $now + self::LEASE_SECONDS,
        ];

        return $this->leases[$mac]['address'];
    }

    /** The lease of a board that never came is not renewed and runs out. */
    public function forget(string $mac): void
    {
        unset($this->leases[$mac]);
    }

    /** @return array<string, string> names that it knows by its list, alone and in the domain, with their addresses */
    public function names(string $domain): array
    {
        $names = [];
        foreach ($this->leases as $lease) {
            $name = strtolower($lease['name']);
            if ($name !== '') {
                $names += [$name => $lease['address'], "{$name}.{$domain}" => $lease['address']];
            }
        }

        return $names;
    }

    /** One line a lease: expiry, hardware address, address, name, client id. */
    public function leaseFile(): string
    {
        $lines = '';
        foreach ($this->leases as $mac => $lease) {
            $lines .=
                "{$lease['expires']} {$mac} {$lease['address']} ".($lease['name'] ?: '*')." 01:{$mac}\n";
        }

        return $lines;
    }

    /**
     * @return array{reservations: array<string, string>, leases: array<string, array{address: string, name: string, expires: int}>}
     */
    public function state(): array
    {
        return ['reservations' => $this->reservations, 'leases' => $this->leases];
    }

    private function free(): string
    {
        $held = array_column($this->leases, 'address');
        for (
            $number = (int) ip2long($this->poolFirst);
            $number <= (int) ip2long($this->poolLast);
            $number++
        ) {
            $address = (string) long2ip($number);
            if (! in_array($address, $held, true)) {
                return $address;
            }
        }
        // A full pool gives the place of whoever's lease ran out first.
        uasort($this->leases, fn (array $a, array $b): int => $a['expires'] <=> $b['expires']);
        $oldest = (string) array_key_first($this->leases);
        $address = $this->leases[$oldest]['address'] ?? $this->poolFirst;
        unset($this->leases[$oldest]);

        return $address;
    }
}
