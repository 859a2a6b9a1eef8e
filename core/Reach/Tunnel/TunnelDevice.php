<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use InvalidArgumentException;

/** A device as the endpoint's file knows it (wg(8)): its public key and the one address it may come from. */
final readonly class TunnelDevice
{
    private TunnelNet $net;

    /** @throws InvalidArgumentException for a name or key that is none */
    public function __construct(private string $name, private string $publicKey, string $net)
    {
        if (preg_match('/^[A-Za-z0-9][A-Za-z0-9 ._-]{0,40}$/D', $name) !== 1) {
            throw new InvalidArgumentException("Not a device's name: {$name}.");
        }
        if (strlen($publicKey) !== 44 || strlen((string) base64_decode($publicKey, true)) !== 32) {
            throw new InvalidArgumentException('Not a public key of a tunnel.');
        }
        $this->net = new TunnelNet($net);
    }

    public function __toString(): string
    {
        return <<<CONF

        # {$this->name}
        [Peer]
        PublicKey = {$this->publicKey}
        AllowedIPs = {$this->net->device()}/32
        CONF;
    }
}
