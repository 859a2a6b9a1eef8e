<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use InvalidArgumentException;

/**
 * The endpoint's own file (wg-quick(8)). Its private key never stands in it: it lies in a file beside it, made on the
 * box. What comes in for the house goes on under the box's own address, so the router needs no route.
 */
final readonly class TunnelEndpoint
{
    private TunnelNet $net;

    /** @throws InvalidArgumentException for a port or network that is none */
    public function __construct(private int $port, string $net)
    {
        if ($port < 1 || $port > 65535) {
            throw new InvalidArgumentException("Not a port: {$port}.");
        }
        $this->net = new TunnelNet($net);
    }

    public function __toString(): string
    {
        return <<<CONF
        [Interface]
        Address = {$this->net->endpoint()}/{$this->net->prefix->length}
        ListenPort = {$this->port}
        PostUp = wg set %i private-key /etc/wireguard/%i.key
        PostUp = sysctl -q -w net.ipv4.ip_forward=1
        PostUp = nft add table ip tunnel
        PostUp = nft 'add chain ip tunnel out { type nat hook postrouting priority srcnat; }'
        PostUp = nft add rule ip tunnel out ip saddr {$this->net->prefix()} masquerade
        PostDown = nft delete table ip tunnel
        CONF;
    }
}
