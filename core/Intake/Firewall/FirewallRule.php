<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

use JsonSerializable;

/** One rule of a packet filter for one port or range; a rule that names several ports is told as several. */
final readonly class FirewallRule implements JsonSerializable
{
    /**
     * @param  string  $chain  its name: "input", "INPUT", "incoming"
     * @param  ?string  $policy  what its chain does with what no rule meets: "accept", "drop", "reject"
     * @param  string  $action  "accept", "drop", "reject", "limit", "return", "masquerade", "dnat", "snat", "redirect",
     *                          "log", "count", "jump NAME", or "goto NAME", which does not come back
     * @param  ?string  $protocol  "tcp", "udp", "icmp" …; null for all
     * @param  ?int  $port  at the far end of the packet's way; null for all
     * @param  ?int  $portTo  the last of a range
     * @param  ?string  $source  prefix or address; with "!" in front for all but it; null for everybody
     * @param  ?string  $to  the destination of the packet, or where it is sent instead
     * @param  ?string  $interface  on which it comes in
     * @param  ?string  $state  of the connection: "established,related"
     * @param  ?string  $hook  where its chain is called by the kernel: "input", "forward", "output", "prerouting" …;
     *                         null for a chain that others jump to
     * @param  bool  $more  it asks more of a packet than is told here (a rate, a mark, an hour …)
     */
    public function __construct(
        public string $chain,
        public ?string $policy,
        public string $action,
        public ?string $protocol = null,
        public ?int $port = null,
        public ?int $portTo = null,
        public ?string $source = null,
        public ?string $to = null,
        public ?string $interface = null,
        public ?string $state = null,
        public ?string $family = null,
        public ?string $table = null,
        public ?string $hook = null,
        public bool $more = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'chain' => $this->chain,
            'policy' => $this->policy,
            'action' => $this->action,
            'protocol' => $this->protocol,
            'port' => $this->port,
            'port_to' => $this->portTo,
            'source' => $this->source,
            'to' => $this->to,
            'interface' => $this->interface,
            'state' => $this->state,
            'family' => $this->family,
            'table' => $this->table,
            'hook' => $this->hook,
            'more' => $this->more,
        ];
    }
}
