<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

/** A file for /etc/netplan: one wired interface with an address of its own. */
final class NetplanFile extends OwnAddressWriter
{
    public function kind(): string
    {
        return 'netplan';
    }

    public function summary(): string
    {
        return 'a file for /etc/netplan: an interface with an address of its own';
    }

    protected function text(OwnSettings $own): string
    {
        $servers = implode(', ', array_map(fn ($one): string => "\"{$one}\"", $own->dns));
        $names =
            ($servers === '' ? '' : "        addresses: [{$servers}]\n").
            ($own->domain === '' ? '' : "        search: [\"{$own->domain}\"]\n");

        return "network:\n  version: 2\n  ethernets:\n    \"{$own->interface}\":\n      dhcp4: false\n".
            "      addresses: [\"{$own->address}/{$own->prefix->length}\"]\n".
            ($own->gateway === null
                ? ''
                : "      routes:\n        - to: default\n          via: \"{$own->gateway}\"\n").
            ($names === '' ? '' : "      nameservers:\n{$names}");
    }
}
