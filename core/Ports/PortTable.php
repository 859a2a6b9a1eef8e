<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** The ports of a network's boxes, and what cannot be true or will go wrong. */
final readonly class PortTable
{
    /** Linux hands these out to outgoing connections by default (ip-sysctl, ip_local_port_range). */
    private const EPHEMERAL_FIRST = 32768;

    private const EPHEMERAL_LAST = 60999;

    /** @param  list<PortUse>  $uses */
    public function __construct(private array $uses)
    {
    }

    public function findings(): Findings
    {
        $findings = Findings::of();
        $held = [];
        foreach ($this->uses as $use) {
            $held["{$use->box} {$use->protocol->value} {$use->port->number}"][] = $use;
        }
        foreach ($held as $same) {
            $first = $same[0];
            if (count($same) > 1) {
                $findings = $findings->and([
                    Finding::stop(
                        'ports.clash',
                        "On {$first->box}, ".
                            implode(' and ', array_map(fn (PortUse $u): string => $u->purpose, $same)).
                            " both want {$first->protocol->value} {$first->port->number}.",
                        'One address, protocol and port can be held once; the second service does not start.',
                        'Move one of them to another port.',
                    ),
                ]);
            }
            if ($first->protocol->value === 'tcp' && $first->port->number >= self::EPHEMERAL_FIRST && $first->port->number <= self::EPHEMERAL_LAST) {
                $findings = $findings->and([
                    Finding::note(
                        'ports.ephemeral',
                        "{$first->port->number} on {$first->box} lies where the system picks ports for outgoing connections.",
                        'Now and then the service finds its port taken when it starts.',
                        'Set net.ipv4.ip_local_reserved_ports='.$first->port->number.', or choose one below 32768.',
                    ),
                ]);
            }
        }

        return $findings;
    }
}
