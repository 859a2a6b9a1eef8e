<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Port;
use Burrow\Net\Protocol;
use DateTimeImmutable;

/** A port that a service of a box holds, what was met when it was last asked, and who gets how far with it. */
final readonly class Service
{
    /**
     * @param  ?DoorState  $state  null when nobody has looked
     * @param  ?string  $bound  the address of the box that it is bound to; null for all of them
     * @param  WhoReaches  $reach  as it was meant; an opening in the router carries further
     * @param  ?Access  $access  null when nobody said
     * @param  string  $scheme  "http", "https" or another; empty when it is no page
     * @param  string  $path  of a page, from its slash on
     * @param  ?int  $inner  the port inside a container that it leads to
     * @param  int  $id  of its record; 0 for none
     * @param  list<string>  $from  addresses and prefixes in their standard form, where only some of the house reach it
     */
    public function __construct(
        public string $box,
        public Port $port,
        public Protocol $protocol,
        public string $purpose,
        public ?DoorState $state = null,
        public ?DateTimeImmutable $lookedAt = null,
        public ?string $bound = null,
        public WhoReaches $reach = WhoReaches::House,
        public ?Access $access = null,
        public string $scheme = '',
        public string $path = '',
        public ?int $inner = null,
        public int $id = 0,
        public array $from = [],
    ) {
    }

    /** "8081/tcp" */
    public function place(): string
    {
        return "{$this->port->number}/{$this->protocol->value}";
    }

    public function isLoopback(): bool
    {
        return $this->bound !== null && (str_starts_with($this->bound, '127.') || $this->bound === '::1');
    }

    /** Two cannot stand side by side: the same port, and an address that both want. */
    public function clashesWith(self $other): bool
    {
        return $this->box === $other->box &&
            $this->protocol === $other->protocol &&
            $this->port->number === $other->port->number &&
            self::overlap($this->bound, $other->bound);
    }

    /** On a system that binds "any" of IPv6 to IPv4 as well, as Linux does unless told not to (ipv6(7)). */
    private static function overlap(?string $one, ?string $other): bool
    {
        $any = fn (?string $bound): bool => $bound === null || $bound === '::' || $bound === '0.0.0.0';

        return $any($one) || $any($other) || $one === $other;
    }
}
