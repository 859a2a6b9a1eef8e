<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;
use Bench\Net\Door;

/** The audio player: greets with its protocol's version. */
final class AudioPlayer implements Service
{
    private const FILE = '/etc/mpd.conf';

    public function unit(): string
    {
        return 'mpd.service';
    }

    public function package(): string
    {
        return 'mpd';
    }

    public function problem(Board $board): ?string
    {
        $text = $board->machine->read(self::FILE) ?? '';

        return substr_count($text, '{') === substr_count($text, '}') && str_contains($text, 'audio_output')
            ? null
            : 'mpd: exception: Unterminated section';
    }

    public function doors(Board $board): array
    {
        return preg_match('/^port "(\d+)"$/m', $board->machine->read(self::FILE) ?? '', $match) === 1
            ? [new Door((int) $match[1], serve: Answers::player())]
            : [];
    }
}
