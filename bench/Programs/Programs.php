<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Net\PackageIndex;

/** Every program that a board has. A new one is one class and one line here. */
final readonly class Programs
{
    /** Programs that are there only once their package is. */
    private const FROM = [
        'wg' => 'wireguard-tools',
        'wg-quick' => 'wireguard-tools',
        'qrencode' => 'qrencode',
        'podman' => 'podman',
        'podman-compose' => 'podman-compose',
        'dnsmasq' => 'dnsmasq',
        'smbpasswd' => 'samba',
        'testparm' => 'samba',
        'parted' => 'parted',
        'nginx' => 'nginx',
        'rsync' => 'rsync',
        'rtl_test' => 'rtl-sdr',
        'mpc' => 'mpc',
        'aplay' => 'alsa-utils',
        'speaker-test' => 'alsa-utils',
        'git' => 'git',
        'lsusb' => 'usbutils',
    ];

    /** @var array<string, Program> */
    private array $byName;

    public function __construct(PackageIndex $index)
    {
        $byName = [];
        foreach (
            [
                new AptGet($index),
                new Systemctl(),
                new Detached(),
                new Files(),
                new Texts(),
                new Accounts(),
                new Disks(),
                new Mounts(),
                new Samba(),
                new Checks(),
                new Containers(),
                new Tunnels(),
                new Devices(),
                new Copies(),
                new Quiet(),
            ] as $program
        ) {
            $byName += array_fill_keys($program->names(), $program);
        }
        $this->byName = $byName;
    }

    public function run(Call $call): Said
    {
        $name = basename($call->words[0]);
        $package = self::FROM[$name] ?? null;

        return match (true) {
            ! isset($this->byName[$name]) => Said::failed(
                "bash: {$name}: the bench does not know this command",
                127,
            ),
            $package !== null && ! $call->board->machine->has($package) => Said::failed(
                "bash: {$name}: command not found",
                127,
            ),
            default => $this->byName[$name]->run($call),
        };
    }
}
