<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** Mounting by /etc/fstab, and what is mounted. */
final readonly class Mount implements Program
{
    public function answers(string $command): bool
    {
        return preg_match('/^(?:mount|findmnt) /', $command) === 1;
    }

    public function run(Board $board, string $command): string
    {
        return str_starts_with($command, 'mount ')
            ? $this->mount($board, Words::of($command)[1] ?? '')
            : $this->findmnt($board);
    }

    private function mount(Board $board, string $point): string
    {
        return $board->mount($point) ? '' : "mount: {$point}: can't find in /etc/fstab.";
    }

    private function findmnt(Board $board): string
    {
        return $board->disk?->mountedAt === null
            ? ''
            : "TARGET SOURCE FSTYPE OPTIONS\n{$board->disk->mountedAt} /dev/sda1 ext4 rw,relatime";
    }
}
