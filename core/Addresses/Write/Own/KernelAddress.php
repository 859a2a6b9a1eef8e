<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

use Burrow\Addresses\NetworkFindings;
use Burrow\Judgement\Finding;
use Burrow\Net\Ipv4;

/** The word for the kernel's command line (admin-guide/nfs/nfsroot): no newline behind it, since it joins one line. */
final class KernelAddress extends OwnAddressWriter
{
    public function kind(): string
    {
        return 'kernel-address';
    }

    public function summary(): string
    {
        return 'the word ip=… for the kernel\'s command line, to stand in its one line';
    }

    protected function text(OwnSettings $own): string
    {
        // Two name servers have room, and IPv4 ones alone.
        $servers = array_slice(array_values(array_filter($own->dns, fn ($one): bool => $one instanceof Ipv4)), 0, 2);

        return implode(':', [
            "ip={$own->address}",
            '',
            (string) $own->gateway,
            (string) $own->prefix->netmask(),
            $own->host,
            $own->interface,
            'off',
            ...array_map(strval(...), $servers),
        ]);
    }

    protected function refused(OwnSettings $own, callable $at): ?Finding
    {
        return $own->isRadio()
            ? NetworkFindings::notCarried(
                'interface',
                $own->interface,
                'The kernel sets its address before anything could join a radio network.',
                $at('interface'),
            )
            : null;
    }
}
