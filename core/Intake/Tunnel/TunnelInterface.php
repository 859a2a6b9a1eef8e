<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use JsonSerializable;

/** An endpoint that is up and knows no device yet. */
final readonly class TunnelInterface implements JsonSerializable
{
    /** @return array{peers: int} */
    public function jsonSerialize(): array
    {
        return ['peers' => 0];
    }
}
