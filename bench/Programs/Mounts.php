<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;
use Bench\Board\Disk;

/** Mounting by /etc/fstab or by UUID, what is mounted, how full it is. */
final class Mounts implements Program
{
    public function names(): array
    {
        return ['mount', 'umount', 'findmnt', 'df'];
    }

    public function run(Call $call): Said
    {
        return match (basename($call->words[0])) {
            'mount' => $this->mount($call),
            'umount' => $this->umount($call),
            'findmnt' => $this->findmnt($call),
            default => $this->df($call->board),
        };
    }

    private function mount(Call $call): Said
    {
        $board = $call->board;
        $options = $call->option('--options', '-o') ?? '';
        $plain = array_values(array_diff($call->plain(), [$options]));
        [$what, $point] = [...$plain, '', ''];
        if (str_contains($options, 'remount')) {
            $disk = $board->mountedAt($what);
            if ($disk === null) {
                return Said::failed("mount: {$what}: mount point not mounted or bad option.", 32);
            }
            $disk->readOnly = str_contains($options, 'ro');

            return Said::ok();
        }
        if ($point !== '') {
            $disk = $board->disk(fn (Disk $one): bool => $one->uuid !== null && $what === "UUID={$one->uuid}");
            if ($disk === null) {
                return Said::failed("mount: {$point}: can't find {$what}.", 1);
            }
            if ($disk->mountedAt !== null) {
                return Said::failed("mount: {$point}: {$what} already mounted on {$disk->mountedAt}.", 32);
            }
            $disk->mountedAt = $point;

            return Said::ok();
        }

        return $what === '' || $board->mount($what)
            ? Said::ok()
            : Said::failed("mount: {$what}: can't find in /etc/fstab.");
    }

    private function umount(Call $call): Said
    {
        $point = $call->plain()[0] ?? '';
        $disk = $call->board->mountedAt($point);
        if ($disk === null) {
            return Said::failed("umount: {$point}: not mounted.", 32);
        }
        $disk->mountedAt = null;
        $disk->readOnly = false;

        return Said::ok();
    }

    private function findmnt(Call $call): Said
    {
        $columns = $call->option('--output', '-o');
        $point = array_values(array_diff($call->plain(), [(string) $columns]))[0] ?? '';
        if ($call->has('--fstab')) {
            return $this->inFstab($call->board, $point);
        }
        $disk = $point === '' ? $call->board->disk(fn (Disk $one): bool => $one->mountedAt !== null) : null;
        $disk ??= $call->board->mountedAt($point);
        if ($disk === null) {
            return Said::failed();
        }
        $row = [
            'TARGET' => (string) $disk->mountedAt,
            'SOURCE' => '/dev/'.$call->board->deviceOf($disk).'1',
            'FSTYPE' => 'ext4',
            'OPTIONS' => ($disk->readOnly ? 'ro' : 'rw').',relatime',
            'UUID' => (string) $disk->uuid,
        ];
        $asked = $columns === null ? ['TARGET', 'SOURCE', 'FSTYPE', 'OPTIONS'] : explode(',', $columns);
        $shown = implode(' ', array_map(fn (string $column): string => $row[$column] ?? '', $asked));

        return Said::ok(($call->has('--noheadings', '-n') ? '' : implode(' ', $asked)."\n")."{$shown}\n");
    }

    private function inFstab(Board $board, string $point): Said
    {
        foreach (explode("\n", $board->machine->read('/etc/fstab') ?? '') as $line) {
            $fields = [...preg_split('/\s+/', trim($line)) ?: [], ''];
            if ($fields[1] === $point && ! str_starts_with($fields[0], '#')) {
                return Said::ok("{$fields[1]} {$fields[0]}\n");
            }
        }

        return Said::failed();
    }

    private function df(Board $board): Said
    {
        $lines =
            "Filesystem      Size  Used Avail Use% Mounted on\n/dev/mmcblk0p2   29G  3.1G   25G  12% /\n";
        foreach ($board->disks as $disk) {
            if ($disk->mountedAt !== null) {
                $lines .= "/dev/{$board->deviceOf($disk)}1       458G   28K  435G   1% {$disk->mountedAt}\n";
            }
        }

        return Said::ok($lines);
    }
}
