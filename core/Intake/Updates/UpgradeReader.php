<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\Refusals;
use Burrow\Judgement\Findings;

/** What `apt-get upgrade` and `full-upgrade` print, in English. */
final class UpgradeReader implements Reader
{
    public function kind(): string
    {
        return 'upgrade';
    }

    public function summary(): string
    {
        return 'apt-get upgrade, or apt-get full-upgrade';
    }

    public function sign(): string
    {
        return '/^\d+ upgraded, \d+ newly installed, \d+ to remove/m';
    }

    public function read(string $text): Reading
    {
        $counted =
            preg_match(
                '/(\d{1,6}) upgraded, (\d{1,6}) newly installed, (\d{1,6}) to remove and (\d{1,6}) not upgraded/',
                $text,
                $match,
            ) === 1;
        // Among the scrolling lines a package may complain of a missing file and mean no harm.
        $refused =
            ! $counted || preg_match('/^[ \t]*(?:E: |dpkg: error)/m', $text) === 1
                ? Refusals::in($text)
                : Findings::of();
        if ($refused->blocks()) {
            return new Reading($this->kind(), [], $refused);
        }
        if (! $counted) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::noUpgradeSummary()));
        }
        $summary = new UpgradeSummary(
            (int) $match[1],
            (int) $match[2],
            (int) $match[3],
            (int) $match[4],
            str_contains($text, 'System restart required'),
        );

        return new Reading($this->kind(), [$summary], Findings::of(IntakeFindings::upgraded($summary)));
    }
}
