<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** Comparing a disk with the one that was chosen: test(1) with what lsblk(8) says of it. */
final readonly class Test implements Program
{
    public function answers(string $command): bool
    {
        return str_starts_with($command, 'test ');
    }

    public function run(Board $board, string $command): ?string
    {
        return $this->test($board, $command) ? '' : null;
    }

    private function test(Board $board, string $command): bool
    {
        preg_match('/--output ([A-Z]+) .*\)"(?: = (\S+))?$/', $command, $match);

        return match ($match[1] ?? '') {
            'SERIAL' => $board->disk !== null && ($match[2] ?? '') === $board->disk->serial,
            'SIZE' => $board->disk !== null && ($match[2] ?? '') === (string) $board->disk->bytes,
            'MOUNTPOINT' => $board->disk !== null && $board->disk->mountedAt === null,
            default => false,
        };
    }
}
