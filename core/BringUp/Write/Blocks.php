<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\Filter\DnsmasqList;
use Burrow\Filter\DnsmasqSettings;
use Burrow\Reach\Tunnel\TunnelDevice;
use Burrow\Reach\Tunnel\TunnelEndpoint;
use Burrow\Reach\Tunnel\TunnelProfile;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use InvalidArgumentException;

/** Every block that a playbook's commands can hold. A new one is one writer and one line here. */
final class Blocks
{
    /** @return list<Block> */
    public static function all(): array
    {
        return [
            new Block(
                'fstab_line',
                ['uuid', 'mount_point'],
                fn (array $v): FstabLine => new FstabLine($v['uuid'], $v['mount_point']),
            ),
            new Block(
                'smb_share',
                ['share', 'mount_point', 'user'],
                fn (array $v): SmbShare => new SmbShare($v['share'], $v['mount_point'], $v['user']),
            ),
            new Block(
                'dnsmasq_settings',
                ['host', 'domain', 'address', 'upstream'],
                fn (array $v): DnsmasqSettings => new DnsmasqSettings(
                    $v['host'],
                    $v['domain'],
                    $v['address'],
                    $v['upstream'],
                ),
            ),
            new Block('dnsmasq_list', ['listed'], fn (array $v): DnsmasqList => DnsmasqList::of($v['listed'])),
            new Block(
                'tunnel_endpoint',
                ['tunnel_port', 'tunnel_net'],
                fn (array $v): TunnelEndpoint => new TunnelEndpoint((int) $v['tunnel_port'], $v['tunnel_net']),
            ),
            new Block(
                'tunnel_device',
                ['device', 'device_key', 'tunnel_net'],
                fn (array $v): TunnelDevice => new TunnelDevice(
                    $v['device'],
                    $v['device_key'],
                    $v['tunnel_net'],
                ),
            ),
            new Block(
                'tunnel_profile',
                ['endpoint_key', 'outside', 'tunnel_port', 'tunnel_net', 'prefix', 'names_at'],
                fn (array $v): TunnelProfile => new TunnelProfile(
                    $v['endpoint_key'],
                    $v['outside'],
                    (int) $v['tunnel_port'],
                    $v['tunnel_net'],
                    $v['prefix'],
                    $v['names_at'],
                ),
            ),
            new Block(
                'compose_file',
                ['service', 'image', 'page_port', 'inner_port', 'inner_folder', 'zone'],
                fn (array $v): ComposeFile => new ComposeFile(
                    $v['service'],
                    $v['image'],
                    $v['zone'],
                    $v['inner_folder'],
                    (int) $v['page_port'],
                    (int) $v['inner_port'],
                ),
            ),
            new Block(
                'compose_file_names',
                ['service', 'image', 'page_port', 'inner_port', 'inner_folder', 'zone'],
                fn (array $v): ComposeFile => new ComposeFile(
                    $v['service'],
                    $v['image'],
                    $v['zone'],
                    $v['inner_folder'],
                    (int) $v['page_port'],
                    (int) $v['inner_port'],
                    true,
                ),
            ),
            new Block(
                'compose_file_host',
                ['service', 'image', 'inner_folder', 'zone'],
                fn (array $v): ComposeFile => new ComposeFile(
                    $v['service'],
                    $v['image'],
                    $v['zone'],
                    $v['inner_folder'],
                ),
            ),
            new Block(
                'compose_unit',
                ['service', 'compose'],
                fn (array $v): SystemdUnit => SystemdUnit::compose($v['service'], $v['compose']),
            ),
            new Block(
                'sync_service',
                ['mount_point', 'home_account', 'home_host', 'home_folder'],
                fn (array $v): SystemdUnit => SystemdUnit::copyOver(
                    $v['mount_point'],
                    $v['home_account'],
                    $v['home_host'],
                    $v['home_folder'],
                ),
            ),
            new Block(
                'sync_timer',
                [],
                fn (array $v): SystemdUnit => SystemdUnit::timer('copies what is new', '*:0/30'),
            ),
            new Block(
                'samples_unit',
                ['address', 'samples_port'],
                fn (array $v): SystemdUnit => SystemdUnit::running(
                    'samples of the receiver for the network',
                    ['/usr/bin/rtl_tcp', '-a', $v['address'], '-p', $v['samples_port']],
                    'nobody',
                    ['plugdev'],
                ),
            ),
            new Block(
                'library_settings',
                ['mount_point', 'page_port', 'host'],
                fn (array $v): KeyedSettings => KeyedSettings::library(
                    $v['mount_point'],
                    $v['page_port'],
                    $v['host'],
                ),
            ),
            new Block(
                'player_settings',
                ['music_folder', 'output_device', 'player_port'],
                fn (array $v): KeyedSettings => KeyedSettings::player(
                    $v['music_folder'],
                    $v['output_device'],
                    $v['player_port'],
                ),
            ),
            new Block(
                'recorder_settings',
                ['mount_point'],
                fn (array $v): KeyedSettings => KeyedSettings::recorder($v['mount_point']),
            ),
            new Block(
                'automatic_updates',
                [],
                fn (array $v): KeyedSettings => KeyedSettings::automaticUpdates(),
            ),
            new Block(
                'https_site',
                ['host', 'domain', 'page_port'],
                fn (array $v): HttpsSite => new HttpsSite($v['host'], $v['domain'], (int) $v['page_port']),
            ),
        ];
    }

    /**
     * @param  array<string, string>  $values
     * @return ?string null where no block is called so, where it lacks a value, and for values that its file cannot
     *                 hold: the command then says that a value is missing
     */
    public static function write(string $name, array $values): ?string
    {
        static $all = null;
        $all ??= array_column(self::all(), null, 'name');
        $block = $all[$name] ?? null;
        if (! $block instanceof Block || array_diff($block->needs, array_keys($values)) !== []) {
            return null;
        }
        try {
            return $block->write($values);
        } catch (InvalidArgumentException) {
            return null;
        }
    }
}
