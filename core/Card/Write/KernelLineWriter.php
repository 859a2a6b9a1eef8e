<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Card\Read\KernelLine;

/**
 * Adds to the kernel's command line what a box needs of it: an address, the memory account of containers, the network
 * over USB.
 */
final class KernelLineWriter
{
    /** Kernel documentation, admin-guide/nfs/nfsroot: client, server, gateway, netmask, host name, device, autoconf. */
    public static function ip(StaticAddress $static, string $host, string $device): string
    {
        return "ip={$static->address}::{$static->gateway}:{$static->prefix->netmask()}:{$host}:{$device}:off";
    }

    /**
     * @param  string  $present  what cmdline.txt holds now; empty when nobody looked
     * @param  bool  $containers  the box runs containers
     * @param  bool  $usbNetwork  it is a network card on the computer it is plugged into
     */
    public function write(string $present, FirstBoot $settings, bool $containers, bool $usbNetwork): CardFile
    {
        $line = KernelLine::parse($present);
        $reasons = [];
        if ($settings->static !== null) {
            $line = $line->with(
                self::ip($settings->static, $settings->name->label, $settings->wired ? 'eth0' : 'wlan0'),
            );
            $reasons[] = 'ip= pins the address before anything else starts.';
        }
        if ($containers) {
            $line = $line->with('cgroup_memory=1')->with('cgroup_enable=memory');
            $reasons[] = 'cgroup_memory and cgroup_enable let containers be held to a memory limit.';
        }
        if ($usbNetwork) {
            $line = $line->withAfter('rootwait', 'modules-load=dwc2,g_ether');
            $reasons[] = 'modules-load, right after rootwait, makes the board a network card on the USB cable.';
        }

        return new CardFile('cmdline.txt', [
            new CardLine(rtrim($line->text()), trim('One line. '.implode(' ', $reasons))),
        ]);
    }
}
