<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** The UUID that `blkid -s UUID -o value` prints, with or without the lines of the commands before it. */
final class UuidReader implements Reader
{
    public function kind(): string
    {
        return 'uuid';
    }

    public function summary(): string
    {
        return 'blkid -s UUID -o value DEVICE, after making the file system';
    }

    public function sign(): string
    {
        return '/^(?:\s*[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}\s*|.*Filesystem UUID: .*)$/mi';
    }

    public function read(string $text): Reading
    {
        if (preg_match('/^[ \t]*STOPPED: /m', $text) === 1) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::wrongDisk()));
        }
        // mke2fs prints the UUID too, so the last one is the one blkid was asked for.
        if (
            preg_match_all('/\b[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\b/', $text, $match) ===
            0
        ) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::noUuid()));
        }
        $uuid = $match[0][count($match[0]) - 1];

        return new Reading($this->kind(), [new FileSystemId($uuid)], Findings::of(IntakeFindings::uuidRead($uuid)));
    }
}
