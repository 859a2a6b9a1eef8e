<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;

/** Which programs of units come with which package. */
final class Programs
{
    private const FROM = ['rtl_tcp' => 'rtl-sdr', 'rsync' => 'rsync', 'podman-compose' => 'podman-compose'];

    public static function has(Board $board, string $program): bool
    {
        return ! isset(self::FROM[$program]) || $board->machine->has(self::FROM[$program]);
    }
}
