<?php

declare(strict_types=1);

namespace Burrow\Intake\Neighbours;

use JsonSerializable;

/** A machine on the same cable, as a table of neighbours or a scan holds it. */
final readonly class Neighbour implements JsonSerializable
{
    /** States in which nobody answered. */
    private const AWAY = ['failed', 'incomplete', 'down'];

    /**
     * @param  string  $address  in its shortest standard form (RFC 791, RFC 5952)
     * @param  ?string  $mac  in lower case with colons; null while nobody answered, or where the list has none
     * @param  ?string  $state  in the tool's own word, in lower case: "reachable", "stale", "failed", "static", "up" …
     * @param  list<array{port: int, protocol: string, state: string, service: ?string}>  $ports  of a scan
     */
    public function __construct(
        public string $address,
        public ?string $mac,
        public ?string $name = null,
        public ?string $state = null,
        public ?string $interface = null,
        public array $ports = [],
    ) {
    }

    /** Somebody is or was there. */
    public function isThere(): bool
    {
        return ! in_array($this->state, self::AWAY, true) && ($this->mac !== null || $this->state === 'up');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'address' => $this->address,
            'mac' => $this->mac,
            'name' => $this->name,
            'state' => $this->state,
            'interface' => $this->interface,
            'ports' => $this->ports,
        ];
    }
}
