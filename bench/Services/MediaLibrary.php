<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;
use Bench\Net\Door;

/** The media library: its folders must be there. */
final class MediaLibrary implements Service
{
    private const FILE = '/etc/minidlna.conf';

    public function unit(): string
    {
        return 'minidlna.service';
    }

    public function package(): string
    {
        return 'minidlna';
    }

    public function problem(Board $board): ?string
    {
        return str_contains($board->machine->read(self::FILE) ?? '', 'media_dir=')
            ? null
            : 'minidlnad: No media directories in the configuration';
    }

    public function doors(Board $board): array
    {
        return preg_match('/^port=(\d+)$/m', $board->machine->read(self::FILE) ?? '', $match) === 1
            ? [new Door((int) $match[1], serve: Answers::page('Media library')), new Door(1900, 'udp')]
            : [];
    }
}
