<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Door;

/** The tunnel endpoint: its file and its key must be there. */
final class Tunnel implements Service
{
    public const FILE = '/etc/wireguard/wg0.conf';

    public function unit(): string
    {
        return 'wg-quick@wg0.service';
    }

    public function package(): string
    {
        return 'wireguard-tools';
    }

    public function problem(Board $board): ?string
    {
        return match (true) {
            $board->machine->read(self::FILE) === null => 'wg-quick: `/etc/wireguard/wg0.conf\' does not exist',
            $board->machine->read('/etc/wireguard/wg0.key') === null => 'fopen: No such file or directory',
            default => null,
        };
    }

    public function doors(Board $board): array
    {
        return preg_match('/^ListenPort = (\d+)$/m', $board->machine->read(self::FILE) ?? '', $match) === 1
            ? [new Door((int) $match[1], 'udp')]
            : [];
    }
}
