<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use JsonSerializable;

/** One end of a tunnel with the ends it knows, as wg(8) shows it or as its file describes it. */
final readonly class TunnelInterface implements JsonSerializable
{
    /**
     * @param  ?string  $interface  its name; null in a file, which is named by its file's name
     * @param  list<string>  $addresses  of its own inside the tunnel, from a file
     * @param  list<TunnelPeer>  $peers
     */
    public function __construct(
        public ?string $interface,
        public ?string $publicKey,
        public ?int $listenPort,
        public array $addresses,
        public array $peers,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'interface' => $this->interface,
            'public_key' => $this->publicKey,
            'listen_port' => $this->listenPort,
            'addresses' => $this->addresses,
            'peers' => $this->peers,
        ];
    }
}
