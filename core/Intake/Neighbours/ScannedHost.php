<?php

declare(strict_types=1);

namespace Burrow\Intake\Neighbours;

/** A host of a scan while its lines are read. */
final class ScannedHost
{
    private const PORTS = 70_000;

    public ?string $mac = null;

    public ?string $name = null;

    public ?string $state = null;

    /** @var list<array{port: int, protocol: string, state: string, service: ?string}> */
    private array $ports = [];

    public function __construct(public ?string $address = null)
    {
    }

    public function port(int $port, string $protocol, string $state, ?string $service): void
    {
        if (count($this->ports) < self::PORTS) {
            $this->ports[] = ['port' => $port, 'protocol' => $protocol, 'state' => $state, 'service' => $service];
        }
    }

    /** What runs at the port that was told last. */
    public function service(string $name): void
    {
        $last = array_key_last($this->ports);
        if ($last !== null && $name !== '') {
            $this->ports[$last]['service'] = $name;
        }
    }

    /** Null while it has no address. */
    public function fact(): ?Neighbour
    {
        return $this->address === null
            ? null
            : new Neighbour($this->address, $this->mac, $this->name, $this->state, null, $this->ports);
    }
}
