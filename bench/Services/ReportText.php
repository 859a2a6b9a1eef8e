<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Board\Disk;
use Bench\Board\Machine;
use Bench\Net\Door;
use Bench\Net\Inside;
use Bench\Net\PackageIndex;

/** What the report's script prints on a board of the bench, in the form of the programs that it asks. */
final readonly class ReportText
{
    public function __construct(
        private Board $board,
        private PackageIndex $index,
        private Inside $inside,
    ) {
    }

    public function __toString(): string
    {
        $text = '';
        foreach ($this->parts() as $part => $said) {
            $text .= "#: {$part}\n".($said === '' ? '' : rtrim($said, "\n")."\n");
        }

        return $text;
    }

    /** @return array<string, string> */
    private function parts(): array
    {
        $board = $this->board;
        $flags = array_values($board->readLike('/sys/devices/platform/soc/*/get_throttled'))[0] ?? '';

        return [
            'made' => time()."\n{$board->hostname()}",
            'release' => $board->machine->read('/etc/os-release') ?? '',
            'kernel' => 'Linux 6.1.0-26-arm64 aarch64',
            'uptime' => number_format($board->uptime(), 2, '.', ''),
            'clock' => 'NTPSynchronized='.($board->fault?->name() === 'clock-wrong' ? 'no' : 'yes'),
            'restart' => 'no',
            'lists' => $board->pending > 0 || $board->machine->upgraded ? (string) time() : '',
            'updates' => $this->updates(),
            'fill' => $this->fill(),
            'mounts' => $this->mounts(),
            'memory' => "MemTotal:        3884988 kB\nMemAvailable:    3710012 kB",
            'temperature' => array_values($board->readLike('/sys/class/thermal/thermal_zone0/temp'))[0] ?? '',
            'power' => 'throttled=0x'.trim($flags),
            'volts' => '',
            'listening' => $this->listening(),
            'containers' => $board->machine->has('podman') ? '#asked' : '',
            'failed' => '#asked',
            'addresses' => "2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500 qdisc mq state UP group default qlen 1000\n".
                "    link/ether {$board->mac} brd ff:ff:ff:ff:ff:ff\n".
                "    inet {$board->address}/{$this->inside->bits} brd {$this->inside->broadcast()} scope global dynamic eth0",
            'accounts' => "root\n{$board->account()}",
            'keys' => $this->keys()."\n#asked",
            'end' => '',
        ];
    }

    private function updates(): string
    {
        $lines = 'Listing...';
        foreach ($this->board->pending > 0 ? $this->index->versions() : [] as $name => [$has, $new]) {
            $lines .= "\n{$name}/stable-security {$new} arm64 [upgradable from: {$has}]";
        }

        return $lines;
    }

    private function fill(): string
    {
        $lines =
            "Filesystem     1024-blocks     Used Available Capacity Mounted on\n".
            '/dev/mmcblk0p2    30367024  3250585  25814144      12% /';
        foreach ($this->mounted() as $at => $disk) {
            $blocks = intdiv($disk->bytes, 1024);
            $lines .= "\n/dev/{$this->board->deviceOf($disk)}1 {$blocks} 28 ".($blocks - 28)." 1% {$at}";
        }

        return $lines;
    }

    private function mounts(): string
    {
        $lines = '/dev/mmcblk0p2 / ext4 rw,noatime 0 0';
        foreach ($this->mounted() as $at => $disk) {
            $lines .= "\n/dev/{$this->board->deviceOf($disk)}1 {$at} ext4 rw,relatime 0 0";
        }

        return $lines;
    }

    /** @return array<string, Disk> place => what is mounted there */
    private function mounted(): array
    {
        $mounted = [];
        foreach ($this->board->disks as $disk) {
            $disk->mountedAt === null || ($mounted[$disk->mountedAt] = $disk);
        }

        return $mounted;
    }

    private function listening(): string
    {
        $lines =
            "Netid State  Recv-Q Send-Q Local Address:Port Peer Address:Port\n".
            'tcp   LISTEN 0      128          0.0.0.0:22        0.0.0.0:*';
        foreach (Services::doors($this->board) as $door) {
            $lines .= "\n".self::socket($door);
        }

        return $lines;
    }

    private static function socket(Door $door): string
    {
        return $door->protocol === 'udp'
            ? "udp   UNCONN 0      0            0.0.0.0:{$door->port}        0.0.0.0:*"
            : "tcp   LISTEN 0      50           0.0.0.0:{$door->port}        0.0.0.0:*";
    }

    /** As “ssh-keygen -l” tells what may log in. */
    private function keys(): string
    {
        preg_match_all(
            '~ssh-ed25519 ([A-Za-z0-9+/=]{40,200})(?: (\S+))?~',
            $this->board->machine->read(Machine::AUTHORIZED) ?? '',
            $found,
            PREG_SET_ORDER,
        );

        return implode(
            "\n",
            array_map(
                fn (array $one): string => '256 SHA256:'.
                    rtrim(base64_encode(hash('sha256', (string) base64_decode($one[1], true), true)), '=').
                    ' '.
                    ($one[2] ?? 'no comment').
                    ' (ED25519)',
                $found,
            ),
        );
    }
}
