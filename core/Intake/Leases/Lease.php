<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use JsonSerializable;

/** An address the router has handed out. The name is what the client called itself, which may be anything. */
final readonly class Lease implements JsonSerializable
{
    /** @param  ?int  $expires seconds since 1970; null when the lease never ends */
    public function __construct(
        public Ipv4 $address,
        public Mac $mac,
        public ?string $name,
        public ?int $expires,
    ) {
    }

    /** @return array{address: string, mac: string, name: ?string, expires: ?int} */
    public function jsonSerialize(): array
    {
        return [
            'address' => (string) $this->address,
            'mac' => (string) $this->mac,
            'name' => $this->name,
            'expires' => $this->expires,
        ];
    }
}
