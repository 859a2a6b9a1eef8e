<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Mounting by /etc/fstab, what is mounted, how full it is. */
final class Mounts implements Program
{
    public function names(): array
    {
        return ['mount', 'umount', 'findmnt', 'df'];
    }

    public function run(Call $call): Said
    {
        $point = $call->plain()[0] ?? null;
        $at = $call->board->disk?->mountedAt;

        return match (basename($call->words[0])) {
            'mount' => $call->board->mount($point) || $point === null
                ? Said::ok()
                : Said::failed("mount: {$point}: can't find in /etc/fstab."),
            'findmnt' => $at === null
                ? Said::failed()
                : Said::ok("TARGET SOURCE FSTYPE OPTIONS\n{$at} /dev/sda1 ext4 rw,relatime\n"),
            'df' => Said::ok(
                "Filesystem      Size  Used Avail Use% Mounted on\n/dev/mmcblk0p2   29G  3.1G   25G  12% /\n".
                    ($at === null ? '' : "/dev/sda1       458G   28K  435G   1% {$at}\n"),
            ),
            default => Said::ok(),
        };
    }
}
