<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Finding;
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

    public function read(string $text): Reading
    {
        if (preg_match('/^[ \t]*STOPPED: /m', $text) === 1) {
            return new Reading(
                $this->kind(),
                [],
                Findings::of(
                    Finding::stop(
                        'intake.wrong_disk',
                        'The chain stopped before its end.',
                        'Letters change between starts, so this may be another disk; or it is mounted, or a command failed.',
                        'Take the step back, list the disks again, and look at the line before “STOPPED”.',
                    ),
                ),
            );
        }
        // mke2fs prints the UUID too, so the last one is the one blkid was asked for.
        if (
            preg_match_all('/\b[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\b/', $text, $match) ===
            0
        ) {
            return new Reading(
                $this->kind(),
                [],
                Findings::of(
                    Finding::stop(
                        'intake.no_uuid',
                        'There is no UUID in this text.',
                        'The mount line goes by the UUID; without it the box would mount whatever comes first.',
                        'Run the blkid line again and paste its answer.',
                    ),
                ),
            );
        }
        $uuid = $match[0][count($match[0]) - 1];

        return new Reading(
            $this->kind(),
            [new FileSystemId($uuid)],
            Findings::of(Finding::fine('intake.uuid_read', "The file system is {$uuid}.")),
        );
    }
}
