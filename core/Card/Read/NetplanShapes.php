<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/** Which keys stand where in network-config version 2, and what each takes (netplan.io 0.106, parse.c). */
final class NetplanShapes
{
    public const OVERRIDES = ['map' => [
        'hostname' => 'text', 'route-metric' => 'int', 'send-hostname' => 'bool', 'use-dns' => 'bool',
        'use-domains' => 'text',
        'use-hostname' => 'bool', 'use-mtu' => 'bool', 'use-ntp' => 'bool', 'use-routes' => 'bool',
    ]];

    public const AUTH = ['map' => [
        'key-management' => ['one' => [
            'none', 'psk', 'eap', '802.1x', 'sae', 'psk-sha256', 'eap-sha256', 'eap-suite-b-192',
        ]],
        'method' => ['one' => ['tls', 'peap', 'ttls']], 'password' => 'text', 'identity' => 'text',
        'anonymous-identity' => 'text', 'ca-certificate' => 'text', 'client-certificate' => 'text',
        'client-key' => 'text',
        'client-key-password' => 'text', 'phase2-auth' => 'text',
    ]];

    /** Keys of every link. */
    public const LINK = [
        'accept-ra' => 'bool', 'activation-mode' => ['one' => ['manual', 'off']],
        'addresses' => ['list' => 'own-address'],
        'critical' => 'bool', 'dhcp-identifier' => ['one' => ['mac', 'duid']], 'dhcp4' => 'bool',
        'dhcp4-overrides' => self::OVERRIDES,
        'dhcp6' => 'bool', 'dhcp6-overrides' => self::OVERRIDES, 'gateway4' => 'ipv4', 'gateway6' => 'ipv6',
        'ignore-carrier' => 'bool',
        'ipv6-address-generation' => ['one' => ['eui64', 'stable-privacy']], 'ipv6-address-token' => 'ipv6',
        'ipv6-mtu' => 'int',
        'ipv6-privacy' => 'bool', 'link-local' => ['list' => ['one' => ['ipv4', 'ipv6']]], 'macaddress' => 'mac',
        'mtu' => 'int',
        'nameservers' => ['map' => ['addresses' => ['list' => 'ip'], 'search' => ['list' => 'text']]],
        'neigh-suppress' => 'bool', 'networkmanager' => 'mapping', 'openvswitch' => 'mapping', 'optional' => 'bool',
        'optional-addresses' => ['list' => ['one' => ['ipv4-ll', 'ipv6-ra', 'dhcp4', 'dhcp6', 'static']]],
        'renderer' => ['one' => ['networkd', 'NetworkManager', 'sriov']],
        'routes' => ['list' => ['map' => [
            'advertised-receive-window' => 'int', 'congestion-window' => 'int', 'from' => 'network',
            'metric' => 'int', 'mtu' => 'int',
            'on-link' => 'bool', 'scope' => ['one' => ['global', 'link', 'host']], 'table' => 'int', 'to' => 'target',
            'type' => ['one' => [
                'unicast', 'anycast', 'blackhole', 'broadcast', 'local', 'multicast', 'nat', 'prohibit', 'throw',
                'unreachable', 'xresolve',
            ]],
            'via' => 'network',
        ]]],
        'routing-policy' => ['list' => ['map' => [
            'from' => 'network', 'to' => 'network', 'table' => 'int', 'priority' => 'int', 'mark' => 'int',
            'type-of-service' => 'int',
        ]]],
    ];

    /** Keys of what is a device of its own. */
    public const DEVICE = [
        'emit-lldp' => 'bool', 'generic-receive-offload' => 'bool', 'generic-segmentation-offload' => 'bool',
        'large-receive-offload' => 'bool', 'receive-checksum-offload' => 'bool', 'tcp-segmentation-offload' => 'bool',
        'tcp6-segmentation-offload' => 'bool', 'transmit-checksum-offload' => 'bool', 'wakeonlan' => 'bool',
        'wakeonwlan' => ['list' => ['one' => [
            'default', 'any', 'disconnect', 'magic_pkt', 'gtk_rekey_failure', 'eap_identity_req',
            'four_way_handshake', 'rfkill_release', 'tcp',
        ]]],
        'set-name' => 'text',
        'match' => ['map' => ['name' => 'text', 'macaddress' => 'mac', 'driver' => 'text-or-list']],
        'auth' => self::AUTH,
    ];

    public const KINDS = [
        'ethernets' => [
            'delay-virtual-functions-rebind' => 'bool', 'embedded-switch-mode' => ['one' => ['switchdev', 'legacy']],
            'infiniband-mode' => ['one' => ['datagram', 'connected']], 'link' => 'link',
            'virtual-function-count' => 'int', ...self::DEVICE,
        ],
        'wifis' => [
            'access-points' => ['each' => ['map' => [
                'band' => ['one' => ['5GHz', '5G', '2.4GHz', '2.4G']], 'bssid' => 'mac', 'channel' => 'int',
                'hidden' => 'bool',
                'mode' => ['one' => ['infrastructure', 'adhoc', 'ap']], 'networkmanager' => 'mapping',
                'password' => 'text', 'auth' => self::AUTH,
            ]]],
            'regulatory-domain' => 'text', ...self::DEVICE,
        ],
        'bridges' => [
            'interfaces' => ['list' => 'link'],
            'parameters' => ['map' => [
                'ageing-time' => 'text', 'aging-time' => 'text', 'forward-delay' => 'text', 'hello-time' => 'text',
                'max-age' => 'text',
                'path-cost' => ['each' => 'int'], 'port-priority' => ['each' => 'int'], 'priority' => 'int',
                'stp' => 'bool',
            ]],
        ],
        'bonds' => [
            'interfaces' => ['list' => 'link'],
            'parameters' => ['map' => [
                'ad-select' => 'text', 'all-members-active' => 'bool', 'all-slaves-active' => 'bool',
                'arp-all-targets' => 'text',
                'arp-interval' => 'text', 'arp-ip-targets' => ['list' => 'ipv4'], 'arp-validate' => 'text',
                'down-delay' => 'text',
                'fail-over-mac-policy' => 'text', 'gratuitious-arp' => 'int', 'gratuitous-arp' => 'int',
                'lacp-rate' => 'text',
                'learn-packet-interval' => 'text', 'mii-monitor-interval' => 'text', 'min-links' => 'int',
                'mode' => ['one' => [
                    'balance-rr', 'active-backup', 'balance-xor', 'broadcast', '802.3ad', 'balance-tlb',
                    'balance-alb',
                    'balance-tcp', 'balance-slb',
                ]],
                'packets-per-member' => 'int', 'packets-per-slave' => 'int', 'primary' => 'link',
                'primary-reselect-policy' => 'text',
                'resend-igmp' => 'int', 'transmit-hash-policy' => 'text', 'up-delay' => 'text',
            ]],
        ],
        'vlans' => ['id' => 'int', 'link' => 'link'],
    ];
}
