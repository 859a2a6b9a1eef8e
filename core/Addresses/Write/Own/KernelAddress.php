<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

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
        return "ip={$own->address}::{$own->gateway}:{$own->prefix->netmask()}:{$own->host}:{$own->interface}:off";
    }
}
