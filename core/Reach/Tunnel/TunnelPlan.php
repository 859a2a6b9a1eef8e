<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

/** A tunnel as it is to be: what stands in the endpoint's file and in each device's profile (wg(8), wg-quick(8)). */
final readonly class TunnelPlan
{
    /**
     * @param  string  $outside  name or address of the house as the world sees it
     * @param  ?string  $publicKey  of the endpoint; null while it was not made yet
     * @param  list<string>  $house  prefixes that devices reach
     * @param  list<string>  $names  resolvers that devices ask
     * @param  list<PlannedDevice>  $devices
     */
    public function __construct(
        public string $outside,
        public int $port,
        public ?string $publicKey,
        public TunnelNet $net,
        public array $house,
        public array $names,
        public array $devices,
        public Mtu $mtu,
    ) {
    }

    /** The endpoint's own file. Its private key lies in a file beside it, made on the box. */
    public function endpointFile(): string
    {
        $file = new TunnelEndpoint($this->port, $this->net->prefix());
        $text = "{$file}\nMTU = {$this->mtu->bytes}\n";
        foreach ($this->devices as $device) {
            $text .=
                $device->publicKey === null
                    ? ''
                    : "\n# {$device->name}\n[Peer]\nPublicKey = {$device->publicKey}\nAllowedIPs = {$device->address}/32\n";
        }

        return $text;
    }

    /**
     * What a device imports, without its private key: that is put in where it was made. Null while the endpoint has no
     * key.
     */
    public function profile(PlannedDevice $device): ?string
    {
        if ($this->publicKey === null) {
            return null;
        }
        $outside = str_contains($this->outside, ':') ? "[{$this->outside}]" : $this->outside;
        $reaches = $device->everything ? ['0.0.0.0/0', '::/0'] : [...$this->house, $this->net->prefix()];

        return "[Interface]\nAddress = {$device->address}/32\n".
            ($this->names === [] ? '' : 'DNS = '.implode(', ', $this->names)."\n").
            "MTU = {$this->mtu->bytes}\n".
            "\n[Peer]\nPublicKey = {$this->publicKey}\nEndpoint = {$outside}:{$this->port}\n".
            'AllowedIPs = '.
            implode(', ', $reaches).
            "\n".
            ($device->keepalive === 0 ? '' : "PersistentKeepalive = {$device->keepalive}\n");
    }
}
