<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Service;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Port;

/** Every judgement of this stage, each with its one text; docs/formulas/ports.md lists them with their sources. */
final class PortFindings
{
    /** @param  non-empty-list<Service>  $same  of one box, protocol and port */
    public static function clash(array $same): Finding
    {
        return Finding::stop(
            'ports.clash',
            "On {$same[0]->box}, ".
                implode(' and ', array_map(fn (Service $one): string => $one->purpose, $same)).
                " both want {$same[0]->protocol->value} {$same[0]->port->number}.",
            'One address, protocol and port can be held once; the second service does not start.',
            'Move one of them to another port.',
        );
    }

    public static function ephemeral(Service $service): Finding
    {
        return Finding::note(
            'ports.ephemeral',
            "{$service->port->number} on {$service->box} lies where the system picks ports for outgoing connections.",
            'Now and then the service finds its port taken when it starts.',
            'Set net.ipv4.ip_local_reserved_ports='.$service->port->number.', or choose one below 32768.',
        );
    }

    /** @param  non-empty-list<string>  $shut  "445 tcp, file share: refused" */
    public static function shut(string $box, array $shut): Finding
    {
        return Finding::warn(
            'ports.shut',
            ucfirst($box).' answers, and a port of its job does not: '.implode(', ', $shut).'.',
            'The box runs; the service is not started, or listens elsewhere.',
            'On the box: systemctl --failed, then ss --listening --tcp --numeric.',
        );
    }

    public static function notForAPage(string $typed, Port $instead, string $field): Finding
    {
        return Finding::stop(
            'ports.not_for_a_page',
            "“{$typed}” is no port for a page.",
            'It is a number of up to five digits, from 1024 to 65535; below that the system has its own.',
            "Free is {$instead->number}.",
            Place::field($field),
        );
    }

    /** @param  string  $whose  "larder, file share" */
    public static function another(Port $port, string $whose, Port $instead, string $field): Finding
    {
        return Finding::warn(
            'ports.used_elsewhere',
            "{$port->number} is used in this house already: {$whose}.",
            'On another box it works, and whoever types the number from memory lands on the wrong page.',
            "Free is {$instead->number}.",
            Place::field($field),
        );
    }
}
