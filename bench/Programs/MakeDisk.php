<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** Partitions and file systems. */
final readonly class MakeDisk implements Program
{
    public function answers(string $command): bool
    {
        return preg_match('/^(?:parted|mkfs\.ext4|blkid) /', $command) === 1;
    }

    public function run(Board $board, string $command): string
    {
        return match (Words::of($command)[0]) {
            'parted' => $this->parted($board),
            'mkfs.ext4' => $this->mkfs($board, Words::of($command)),
            default => $board->disk->uuid ?? '',
        };
    }

    private function parted(Board $board): string
    {
        if ($board->disk === null) {
            return 'Error: Could not stat device /dev/sda - No such file or directory.';
        }
        $board->disk->partitioned = true;

        return '';
    }

    /** @param  list<string>  $words */
    private function mkfs(Board $board, array $words): string
    {
        if ($board->disk === null || ! $board->disk->partitioned) {
            return 'mke2fs 1.47.0: The file /dev/sda1 does not exist and no size was specified.';
        }
        $bytes = random_bytes(16);
        $bytes[6] = chr((ord($bytes[6]) & 0x0F) | 0x40);
        $bytes[8] = chr((ord($bytes[8]) & 0x3F) | 0x80);
        $board->disk->uuid = vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split(bin2hex($bytes), 4));
        $board->disk->label = $words[2] ?? '';

        return "mke2fs 1.47.0 (5-Feb-2023)\nFilesystem UUID: {$board->disk->uuid}\nWriting superblocks and filesystem accounting information: done";
    }
}
