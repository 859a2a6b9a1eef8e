<?php

declare(strict_types=1);

namespace Tests;

/** A TCP port that a test waits for: being closed is an answer, and no warning. */
final class Door
{
    public static function isOpen(string $host, int $port): bool
    {
        set_error_handler(fn (): bool => true);
        try {
            $stream = stream_socket_client("tcp://{$host}:{$port}", timeout: 1);

            return $stream !== false && fclose($stream);
        } finally {
            restore_error_handler();
        }
    }
}
