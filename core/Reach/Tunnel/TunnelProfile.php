<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use InvalidArgumentException;

/**
 * The profile that a device imports, without its private key, which is put in on the box. Only the house goes through
 * the tunnel; names are asked of the house's own resolver. The MTU is wg-quick's own: 1500 − 80 = 1420.
 */
final readonly class TunnelProfile
{
    private TunnelNet $net;

    /**
     * @param  string  $outside  name or address of the house as the world sees it
     * @param  string  $house  the house's prefix
     * @param  string  $names  address of the resolver that devices ask
     *
     * @throws InvalidArgumentException for what the file cannot hold
     */
    public function __construct(
        private string $endpointKey,
        private string $outside,
        private int $port,
        string $net,
        private string $house,
        private string $names,
    ) {
        if (strlen($endpointKey) !== 44 || strlen((string) base64_decode($endpointKey, true)) !== 32) {
            throw new InvalidArgumentException('Not a public key of a tunnel.');
        }
        if (
            preg_match('/^[A-Za-z0-9][A-Za-z0-9.-]{0,252}$/D', $outside) !== 1 ||
            $port < 1 ||
            $port > 65535 ||
            Prefix::tryParse($house) === null ||
            Ipv4::tryParse($names) === null
        ) {
            throw new InvalidArgumentException('Not a way into this house.');
        }
        $this->net = new TunnelNet($net);
    }

    public function __toString(): string
    {
        return <<<CONF
        [Interface]
        Address = {$this->net->device()}/32
        DNS = {$this->names}

        [Peer]
        PublicKey = {$this->endpointKey}
        Endpoint = {$this->outside}:{$this->port}
        AllowedIPs = {$this->house}, {$this->net->prefix()}
        PersistentKeepalive = 25
        CONF;
    }
}
