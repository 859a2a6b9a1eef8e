<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

/** A file for /etc/netplan: one interface with an address of its own, wired, a radio, or a VLAN on a wire. */
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

        // A radio's networks stand in the first-boot file, under the same word: netplan puts both together.
        $vlan = $own->vlan();
        $kind = $own->isRadio() && $vlan === null ? 'wifis' : ($vlan === null ? 'ethernets' : 'vlans');
        $below = $vlan === null ? '' : "  ethernets:\n    \"{$vlan[0]}\": {}\n";
        $tag = $vlan === null ? '' : "      id: {$vlan[1]}\n      link: \"{$vlan[0]}\"\n";

        return "network:\n  version: 2\n{$below}  {$kind}:\n    \"{$own->interface}\":\n{$tag}      dhcp4: false\n".
            "      addresses: [\"{$own->address}/{$own->prefix->length}\"]\n".
            ($own->gateway === null
                ? ''
                : "      routes:\n        - to: default\n          via: \"{$own->gateway}\"\n").
            ($names === '' ? '' : "      nameservers:\n{$names}");
    }
}
