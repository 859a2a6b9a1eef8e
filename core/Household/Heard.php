<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Port;
use Burrow\Net\Protocol;

/** A socket that waits on a box, as the box itself told it. */
final readonly class Heard
{
    /**
     * @param  string  $address  in its shortest standard form; "0.0.0.0" or "::" for all
     * @param  ?string  $process  null where the tool had no right to see it
     */
    public function __construct(
        public Protocol $protocol,
        public string $address,
        public Port $port,
        public ?string $process = null,
    ) {
    }

    public function isLoopback(): bool
    {
        return str_starts_with($this->address, '127.') || $this->address === '::1';
    }

    /** "8086/tcp" */
    public function place(): string
    {
        return "{$this->port->number}/{$this->protocol->value}";
    }
}
