<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

/** A file for /etc/systemd/network, as systemd.network(5) has it. */
final class NetworkdFile extends OwnAddressWriter
{
    public function kind(): string
    {
        return 'networkd';
    }

    public function summary(): string
    {
        return 'a .network file for systemd-networkd: an interface with an address of its own';
    }

    protected function text(OwnSettings $own): string
    {
        return "[Match]\nName={$own->interface}\n\n[Network]\nAddress={$own->address}/{$own->prefix->length}\n".
            ($own->gateway === null ? '' : "Gateway={$own->gateway}\n").
            implode('', array_map(fn ($one): string => "DNS={$one}\n", $own->dns)).
            ($own->domain === '' ? '' : "Domains={$own->domain}\n");
    }
}
