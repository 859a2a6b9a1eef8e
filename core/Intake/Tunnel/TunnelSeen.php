<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

/** An end of a tunnel while its lines are read. */
final class TunnelSeen
{
    /** More ends of one tunnel are not read. */
    private const PEERS = 5000;

    public ?string $publicKey = null;

    public ?int $listenPort = null;

    /** @var list<string> */
    public array $addresses = [];

    /** @var list<TunnelPeer> */
    private array $peers = [];

    public function __construct(public readonly ?string $interface)
    {
    }

    public function add(TunnelPeer $peer): void
    {
        if (count($this->peers) < self::PEERS) {
            $this->peers[] = $peer;
        }
    }

    public function fact(): TunnelInterface
    {
        return new TunnelInterface(
            $this->interface,
            $this->publicKey,
            $this->listenPort,
            $this->addresses,
            $this->peers,
        );
    }
}
