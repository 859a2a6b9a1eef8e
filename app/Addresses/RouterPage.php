<?php

declare(strict_types=1);

namespace App\Addresses;

/** What a household writes down of its router's page, once. */
final class RouterPage
{
    /** Field => label and example. */
    public const FIELDS = [
        'router_clients' => ['Where it lists its clients', 'Home network, then Devices'],
        'router_reservations' => ['Where an address is reserved', 'the pencil beside a device'],
        'router_forwards' => ['Where a port is opened', 'Internet, then Openings'],
        'router_dns' => ['Where its name servers stand', 'LAN, then DHCP'],
        'router_apply' => ['How it is saved and applied', 'Save, then Apply at the top; restarts for a minute'],
    ];

    private function __construct()
    {
    }
}
