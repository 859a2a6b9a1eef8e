<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Judgement\Findings;
use Burrow\Ports\PortTable;
use Burrow\Ports\TypedPortFindings;

/** A file for /etc/sysctl.d: outgoing connections are not given the ports of services (ip-sysctl). */
final class ReservedPorts implements FileKind
{
    public function kind(): string
    {
        return 'reserved-ports';
    }

    public function summary(): string
    {
        return 'a file for /etc/sysctl.d: ports of services that no outgoing connection is given';
    }

    public function schema(): string
    {
        return 'core/Ports/schema/ports.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        [$box, $findings] = BoxPorts::read($values, $schema, $name);

        return $box === null ? new WrittenFile($this->kind(), null, $findings) : $this->of($box, $findings);
    }

    public function of(BoxPorts $box, ?Findings $findings = null): WrittenFile
    {
        $findings ??= Findings::of();
        $ranges = [];
        foreach ($box->ports as $port) {
            $last = ($port->to ?? $port->port)->number;
            if ($last >= PortTable::EPHEMERAL_FIRST && $port->port->number <= PortTable::EPHEMERAL_LAST) {
                $ranges[] = $port->range();
            }
        }
        $ranges = array_unique($ranges);
        sort($ranges, SORT_NATURAL);

        return $ranges === []
            ? new WrittenFile(
                $this->kind(),
                null,
                $findings->and([TypedPortFindings::nothingToReserve($box->box)]),
            )
            : new WrittenFile(
                $this->kind(),
                "# Ports of services of {$box->box}; outgoing connections are given others.\n".
                    'net.ipv4.ip_local_reserved_ports = '.
                    implode(',', $ranges).
                    "\n",
                $findings,
            );
    }
}
