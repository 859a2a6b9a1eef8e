<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use JsonSerializable;

/** A socket that waits for somebody: what listens on a box, as the box itself tells it. */
final readonly class Listener implements JsonSerializable
{
    /**
     * @param  string  $protocol  "tcp" or "udp"
     * @param  string  $address  in its shortest standard form; "0.0.0.0" and "::" for every address of the box
     * @param  ?string  $process  the program's name as the tool has it, which may be cut to 15 or 9 characters; null
     *                            where the tool had no right to see it
     * @param  ?string  $interface  the one it is bound to, or "lo" for an address of the box alone where the tool says so
     */
    public function __construct(
        public string $protocol,
        public string $address,
        public int $port,
        public ?string $process = null,
        public ?int $pid = null,
        public ?string $interface = null,
    ) {
    }

    /** Two sockets on one place, as a program with several workers holds them, are one. */
    public function key(): string
    {
        return "{$this->protocol} {$this->address} {$this->port} {$this->interface}";
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'protocol' => $this->protocol,
            'address' => $this->address,
            'port' => $this->port,
            'process' => $this->process,
            'pid' => $this->pid,
            'interface' => $this->interface,
        ];
    }
}
