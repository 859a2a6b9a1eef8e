<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;
use Bench\Board\Disk;

/** Disks: listed, partitioned, given a file system. */
final class Disks implements Program
{
    private const CARD_BYTES = 31914983424;

    private const NOTHING = [
        'fstype' => null,
        'label' => null,
        'uuid' => null,
        'mountpoints' => [null],
        'ro' => false,
        'rm' => false,
        'model' => null,
        'serial' => null,
        'tran' => null,
    ];

    public function names(): array
    {
        return ['lsblk', 'blkid', 'parted', 'mkfs.ext4', 'wipefs', 'udevadm'];
    }

    public function run(Call $call): Said
    {
        return match (basename($call->words[0])) {
            'lsblk' => $call->has('--json')
                ? Said::ok(
                    json_encode(
                        ['blockdevices' => $this->devices($call->board)],
                        JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES,
                    )."\n",
                )
                : $this->column($call),
            'blkid' => $this->blkid($call),
            'parted' => $this->parted($call),
            'mkfs.ext4' => $this->mkfs($call),
            default => Said::ok(),
        };
    }

    private function column(Call $call): Said
    {
        $path = $call->words[count($call->words) - 1];
        $disk = $call->board->device($path);
        if ($disk === null) {
            return Said::failed("lsblk: {$path}: not a block device", 32);
        }
        $columns = [
            'SERIAL' => $disk->serial,
            'SIZE' => (string) $disk->bytes,
            'MOUNTPOINT' => $disk->mountedAt ?? '',
        ];

        return Said::ok(($columns[$call->option('--output') ?? ''] ?? 'sda')."\n");
    }

    /** @return list<array<string, mixed>> */
    private function devices(Board $board): array
    {
        $row = fn (string $name, int $size, string $type, array $more = []): array => [
            'name' => $name,
            'size' => $size,
            'type' => $type,
            ...self::NOTHING,
            ...$more,
        ];
        $devices = [
            $row('mmcblk0', self::CARD_BYTES, 'disk', [
                'serial' => '0x2b7e1516',
                'children' => [
                    $row('mmcblk0p1', 536870912, 'part', [
                        'fstype' => 'vfat',
                        'label' => 'bootfs',
                        'mountpoints' => ['/boot/firmware'],
                    ]),
                    $row('mmcblk0p2', self::CARD_BYTES - 541065216, 'part', [
                        'fstype' => 'ext4',
                        'label' => 'rootfs',
                        'uuid' => '00000000-0000-4000-8000-000000000001',
                        'mountpoints' => ['/'],
                    ]),
                ],
            ]),
        ];
        foreach (array_reverse($board->disks) as $disk) {
            array_unshift($devices, $this->device($board->deviceOf($disk), $disk, $row));
        }

        return $devices;
    }

    /**
     * @param  callable(string, int, string, array<string, mixed>): array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private function device(string $name, Disk $disk, callable $row): array
    {
        $part = $row("{$name}1", $disk->bytes - 2097152, 'part', [
            'fstype' => $disk->uuid === null ? null : 'ext4',
            'label' => $disk->label ?: null,
            'uuid' => $disk->uuid,
            'mountpoints' => [$disk->mountedAt],
        ]);
        $whole = $row($name, $disk->bytes, 'disk', ['serial' => $disk->serial, 'tran' => 'usb']);

        return $disk->partitioned ? $whole + ['children' => [$part]] : $whole;
    }

    private function blkid(Call $call): Said
    {
        $disk = $call->board->device($call->words[count($call->words) - 1]);

        return $disk?->uuid === null ? Said::failed('', 2) : Said::ok("{$disk->uuid}\n");
    }

    private function parted(Call $call): Said
    {
        $path = $call->plain()[0] ?? '';
        $disk = $call->board->device($path);
        if ($disk === null) {
            return Said::failed("Error: Could not stat device {$path} - No such file or directory.");
        }
        $disk->partitioned = true;

        return Said::ok();
    }

    private function mkfs(Call $call): Said
    {
        $path = $call->words[count($call->words) - 1];
        $disk = $call->board->device($path);
        if ($disk === null || ! $disk->partitioned) {
            return Said::failed("mke2fs 1.47.0: The file {$path} does not exist and no size was specified.");
        }
        if ($disk->mountedAt !== null) {
            return Said::failed("mke2fs 1.47.0: {$path} is mounted; will not make a filesystem here!");
        }
        $disk->holds = '';
        $bytes = random_bytes(16);
        $bytes[6] = chr((ord($bytes[6]) & 0x0F) | 0x40);
        $bytes[8] = chr((ord($bytes[8]) & 0x3F) | 0x80);
        $disk->uuid = vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split(bin2hex($bytes), 4));
        $disk->label = $call->option('-L') ?? '';

        return Said::noting(
            'mke2fs 1.47.0 (5-Feb-2023)',
            "Filesystem UUID: {$disk->uuid}\nWriting superblocks and filesystem accounting information: done\n",
        );
    }
}
