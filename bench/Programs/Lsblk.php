<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** The list of disks, as JSON. */
final readonly class Lsblk implements Program
{
    private const CARD_BYTES = 31914983424;

    public function answers(string $command): bool
    {
        return str_starts_with($command, 'lsblk');
    }

    public function run(Board $board, string $command): string
    {
        return $this->lsblk($board);
    }

    private function lsblk(Board $board): string
    {
        $row = fn (
            string $name,
            int $size,
            string $type,
            ?string $fs,
            ?string $label,
            ?string $uuid,
            ?string $mount,
            ?string $serial,
            ?string $tran,
        ): array => [
            'name' => $name,
            'size' => $size,
            'type' => $type,
            'fstype' => $fs,
            'label' => $label,
            'uuid' => $uuid,
            'mountpoints' => [$mount],
            'ro' => false,
            'rm' => false,
            'model' => null,
            'serial' => $serial,
            'tran' => $tran,
        ];
        $devices = [
            $row('mmcblk0', self::CARD_BYTES, 'disk', null, null, null, null, '0x2b7e1516', null) + [
                'children' => [
                    $row('mmcblk0p1', 536870912, 'part', 'vfat', 'bootfs', null, '/boot/firmware', null, null),
                    $row(
                        'mmcblk0p2',
                        self::CARD_BYTES - 541065216,
                        'part',
                        'ext4',
                        'rootfs',
                        '00000000-0000-4000-8000-000000000001',
                        '/',
                        null,
                        null,
                    ),
                ],
            ],
        ];
        if ($board->disk !== null) {
            $disk = $row('sda', $board->disk->bytes, 'disk', null, null, null, null, $board->disk->serial, 'usb');
            if ($board->disk->partitioned) {
                $disk['children'] = [
                    $row(
                        'sda1',
                        $board->disk->bytes - 2097152,
                        'part',
                        $board->disk->uuid === null ? null : 'ext4',
                        $board->disk->label ?: null,
                        $board->disk->uuid,
                        $board->disk->mountedAt,
                        null,
                        null,
                    ),
                ];
            }
            array_unshift($devices, $disk);
        }

        return (string) json_encode(['blockdevices' => $devices], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES);
    }
}
