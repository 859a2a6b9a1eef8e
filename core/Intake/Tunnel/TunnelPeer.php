<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use JsonSerializable;

/** A device that a tunnel endpoint knows, as wg(8) shows it. */
final readonly class TunnelPeer implements JsonSerializable
{
    /**
     * @param  ?string  $endpoint  "203.0.113.27:51944"; null while it has not come in
     * @param  list<string>  $allowed  prefixes
     * @param  ?int  $handshakeSeconds  age of the last handshake; null while there was none
     */
    public function __construct(
        public string $publicKey,
        public ?string $endpoint,
        public array $allowed,
        public ?int $handshakeSeconds,
        public ?int $receivedBytes,
        public ?int $sentBytes,
        public ?int $keepaliveSeconds,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'public_key' => $this->publicKey,
            'endpoint' => $this->endpoint,
            'allowed' => $this->allowed,
            'handshake' => $this->handshakeSeconds,
            'received_bytes' => $this->receivedBytes,
            'sent_bytes' => $this->sentBytes,
            'keepalive_seconds' => $this->keepaliveSeconds,
        ];
    }
}
