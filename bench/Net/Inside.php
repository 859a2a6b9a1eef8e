<?php

declare(strict_types=1);

namespace Bench\Net;

/** The house from within: which name servers its router hands out, its domain, how fast the line to the world is. */
final class Inside
{
    /** Of a house that nobody described, or one that has no room for boards. */
    private const OWN = ['router' => '172.22.8.1', 'first' => '172.22.8.100', 'last' => '172.22.8.199', 'bits' => 24];

    /** Mbit/s; nothing faster is led to a house. */
    private const FASTEST = 10_000.0;

    private const SERVERS = 4;

    /** @var list<string> in their order */
    public array $dns = [self::OWN['router']];

    /** Where the router stands, which answers names of its list and of the world. */
    public string $router = self::OWN['router'];

    /** The addresses that it lends out. */
    public string $poolFirst = self::OWN['first'];

    public string $poolLast = self::OWN['last'];

    /** Length of the network's prefix. */
    public int $bits = self::OWN['bits'];

    /** Mbit/s; 0: there is no internet. */
    public float $rate = 50.0;

    public string $domain = 'home.arpa';

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        $inside = new self();
        is_array($state['network'] ?? null) && $inside->live($state['network']);
        is_array($state['dns'] ?? null) &&
            $inside->handOut(array_values(array_filter($state['dns'], is_string(...))));
        is_numeric($state['rate'] ?? null) && $inside->run((float) $state['rate']);
        is_string($state['domain'] ?? null) && ($inside->domain = $state['domain']);

        return $inside;
    }

    /**
     * The network is this one from now on; what is none leaves it as it is.
     *
     * @param  array<mixed>  $network  router, first, last as IPv4 addresses; bits
     */
    public function live(array $network): void
    {
        $address = function (string $key) use ($network): ?string {
            $said = filter_var($network[$key] ?? '', FILTER_VALIDATE_IP, FILTER_FLAG_IPV4);

            return is_string($said) ? $said : null;
        };
        [$router, $first, $last] = [$address('router'), $address('first'), $address('last')];
        $bits = $network['bits'] ?? 0;
        if ($router !== null && $first !== null && $last !== null && is_int($bits) && $bits >= 8 && $bits <= 30) {
            $this->dns = $this->dns === [$this->router] ? [$router] : $this->dns;
            $this->router = $router;
            [$this->poolFirst, $this->poolLast] = [$first, $last];
            $this->bits = $bits;
        }
    }

    /** Whether an address is one of the network that the router serves. */
    public function holds(string $address): bool
    {
        $mask = -1 << 32 - $this->bits;

        return (ip2long($address) & $mask) === (ip2long($this->router) & $mask);
    }

    /** The address with which the network says something to all. */
    public function broadcast(): string
    {
        return (string) long2ip((int) ip2long($this->router) | (1 << 32 - $this->bits) - 1);
    }

    /** @param  list<string>  $servers  IPv4 addresses; what is none is left out, and none at all is the router */
    public function handOut(array $servers): void
    {
        $known = array_filter(
            $servers,
            fn (string $one): bool => filter_var($one, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false,
        );
        $this->dns = array_slice(array_values($known), 0, self::SERVERS) ?: [$this->router];
    }

    public function run(float $rate): void
    {
        $this->rate = max(0.0, min(self::FASTEST, $rate));
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return [
            'dns' => $this->dns,
            'rate' => $this->rate,
            'domain' => $this->domain,
            'network' => [
                'router' => $this->router,
                'first' => $this->poolFirst,
                'last' => $this->poolLast,
                'bits' => $this->bits,
            ],
        ];
    }
}
