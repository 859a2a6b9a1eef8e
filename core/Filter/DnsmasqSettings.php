<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Net\Ipv4;
use InvalidArgumentException;

/**
 * Settings of dnsmasq(8) for a box that answers names for the house: its own address and the loopback one, so that a
 * stub
 * resolver on another loopback address stays out of its way; one upstream; the house's domain never leaves the house.
 */
final readonly class DnsmasqSettings
{
    /** @throws InvalidArgumentException for names and addresses that are none */
    public function __construct(
        private string $host,
        private string $domain,
        private string $address,
        private string $upstream,
    ) {
        if (
            preg_match('/^[a-z0-9][a-z0-9-]{0,62}$/D', $host) !== 1 ||
            preg_match('/^[a-z0-9-]+(?:\.[a-z0-9-]+)*$/D', $domain) !== 1 ||
            Ipv4::tryParse($address) === null ||
            Ipv4::tryParse($upstream) === null
        ) {
            throw new InvalidArgumentException('Not the settings of a resolver.');
        }
        if ($address === $upstream) {
            throw new InvalidArgumentException('A resolver that asks itself goes round in a circle.');
        }
    }

    public function __toString(): string
    {
        return <<<CONF
        bind-dynamic
        domain-needed
        bogus-priv
        no-resolv
        server={$this->upstream}
        domain={$this->domain}
        local=/{$this->domain}/
        host-record={$this->host}.{$this->domain},{$this->address}
        cache-size=1000
        CONF;
    }
}
