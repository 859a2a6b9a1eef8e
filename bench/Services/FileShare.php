<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Board\Disk;
use Bench\Net\Answers;
use Bench\Net\Door;

/** smbd: answers when a share lies on the mounted disk. */
final class FileShare implements Service
{
    public function unit(): string
    {
        return 'smbd.service';
    }

    public function package(): string
    {
        return 'samba';
    }

    public function problem(Board $board): ?string
    {
        return str_contains($board->machine->read('/etc/samba/smb.conf') ?? '', '[global]')
            ? null
            : 'smbd: Can\'t load /etc/samba/smb.conf - run testparm to debug it';
    }

    public function doors(Board $board): array
    {
        preg_match_all(
            '/^\s*path\s*=\s*(\S.*?)\s*$/m',
            $board->machine->read('/etc/samba/smb.conf') ?? '',
            $paths,
        );
        $shared = $board->disk(
            fn (Disk $disk): bool => $disk->mountedAt !== null &&
                array_filter(
                    $paths[1],
                    fn (string $path): bool => str_starts_with($path, $disk->mountedAt),
                ) !== [],
        );

        return $shared !== null ? [new Door(445, serve: Answers::share())] : [];
    }
}
