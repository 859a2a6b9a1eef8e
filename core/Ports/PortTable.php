<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Net\Protocol;

/** What cannot be true of the ports of all boxes, or will go wrong. */
final readonly class PortTable implements Concern
{
    /** Linux hands these out to outgoing connections by default (ip-sysctl, ip_local_port_range). */
    private const EPHEMERAL_FIRST = 32768;

    private const EPHEMERAL_LAST = 60999;

    public function findings(Household $house): Findings
    {
        $held = [];
        foreach ($house->services() as $service) {
            $held["{$service->box} {$service->protocol->value} {$service->port->number}"][] = $service;
        }
        $findings = [];
        foreach ($held as $same) {
            if (count($same) > 1) {
                $findings[] = PortFindings::clash($same);
            }
            $number = $same[0]->port->number;
            if (
                $same[0]->protocol === Protocol::Tcp &&
                $number >= self::EPHEMERAL_FIRST &&
                $number <= self::EPHEMERAL_LAST
            ) {
                $findings[] = PortFindings::ephemeral($same[0]);
            }
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
