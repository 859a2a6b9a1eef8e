<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Household\WhoReaches;
use Burrow\Net\Port;
use Burrow\Net\Protocol;

/** A port that a packet filter lets in, and for whom. */
final readonly class FilteredPort
{
    /**
     * @param  ?Port  $to  the last of a range
     * @param  list<string>  $from  addresses and prefixes in their standard form, where only some reach it
     */
    public function __construct(
        public Port $port,
        public ?Port $to,
        public Protocol $protocol,
        public string $purpose,
        public WhoReaches $reach,
        public array $from = [],
    ) {
    }

    public function isLogin(): bool
    {
        return $this->protocol === Protocol::Tcp &&
            $this->port->number <= 22 &&
            ($this->to ?? $this->port)->number >= 22 &&
            $this->reach->atLeast(WhoReaches::Some);
    }

    /** "22", "8081-8089" */
    public function range(): string
    {
        return $this->to === null || $this->to->number === $this->port->number
            ? (string) $this->port->number
            : "{$this->port->number}-{$this->to->number}";
    }
}
