<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use JsonSerializable;

/** An end that another end of a tunnel knows. */
final readonly class TunnelPeer implements JsonSerializable
{
    /**
     * @param  ?string  $endpoint  "203.0.113.27:51944"; null while it has not come in
     * @param  list<string>  $allowed  prefixes
     * @param  ?int  $handshake  as the tool has it: from `wg show` the seconds since the last handshake, from
     *                           `wg show all dump` its moment in Unix seconds; null while there was none
     */
    public function __construct(
        public string $publicKey,
        public ?string $endpoint,
        public array $allowed,
        public ?int $handshake,
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
            'handshake' => $this->handshake,
            'received_bytes' => $this->receivedBytes,
            'sent_bytes' => $this->sentBytes,
            'keepalive_seconds' => $this->keepaliveSeconds,
        ];
    }
}
