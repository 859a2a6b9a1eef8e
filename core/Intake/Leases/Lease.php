<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use JsonSerializable;

/** An address the router has handed out. The name is what the client called itself, which may be anything. */
final readonly class Lease implements JsonSerializable
{
    /** The words for leases that hold; others say why they no longer do. */
    public const ACTIVE = 'active';

    /**
     * @param  string  $address  in its shortest standard form (RFC 791, RFC 5952)
     * @param  ?string  $mac  in lower case with colons; null where the list has only a client id that holds none
     * @param  ?int  $expires  seconds since 1970; null when the lease never ends, or the list does not say
     * @param  ?string  $state  "active", "free", "expired", "declined" and what else the server calls it; null unsaid
     * @param  ?string  $clientId  its bytes in hexadecimal with colons: a client identifier (RFC 2132 9.14) or a DUID
     */
    public function __construct(
        public string $address,
        public ?string $mac,
        public ?string $name = null,
        public ?int $expires = null,
        public ?string $state = null,
        public ?string $clientId = null,
    ) {
    }

    public function isIpv4(): bool
    {
        return ! str_contains($this->address, ':');
    }

    /** It may be in use: active, or its list says nothing. */
    public function holds(): bool
    {
        return $this->state === null || $this->state === self::ACTIVE;
    }

    /** @return array{address: string, mac: ?string, name: ?string, expires: ?int, state: ?string, client_id: ?string} */
    public function jsonSerialize(): array
    {
        return [
            'address' => $this->address,
            'mac' => $this->mac,
            'name' => $this->name,
            'expires' => $this->expires,
            'state' => $this->state,
            'client_id' => $this->clientId,
        ];
    }
}
