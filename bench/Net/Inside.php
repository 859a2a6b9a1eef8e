<?php

declare(strict_types=1);

namespace Bench\Net;

/** The house from within: which name servers its router hands out, its domain, how fast the line to the world is. */
final class Inside
{
    /** Where the router stands, which answers names of its list and of the world. */
    public const ROUTER = '172.22.8.1';

    /** Mbit/s; nothing faster is led to a house. */
    private const FASTEST = 10_000.0;

    private const SERVERS = 4;

    /** @var list<string> in their order */
    public array $dns = [self::ROUTER];

    /** Mbit/s; 0: there is no internet. */
    public float $rate = 50.0;

    public string $domain = 'home.arpa';

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        $inside = new self();
        is_array($state['dns'] ?? null) &&
            $inside->handOut(array_values(array_filter($state['dns'], is_string(...))));
        is_numeric($state['rate'] ?? null) && $inside->run((float) $state['rate']);
        is_string($state['domain'] ?? null) && ($inside->domain = $state['domain']);

        return $inside;
    }

    /** @param  list<string>  $servers  IPv4 addresses; what is none is left out, and none at all is the router */
    public function handOut(array $servers): void
    {
        $known = array_filter(
            $servers,
            fn (string $one): bool => filter_var($one, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false,
        );
        $this->dns = array_slice(array_values($known), 0, self::SERVERS) ?: [self::ROUTER];
    }

    public function run(float $rate): void
    {
        $this->rate = max(0.0, min(self::FASTEST, $rate));
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return ['dns' => $this->dns, 'rate' => $this->rate, 'domain' => $this->domain];
    }
}
