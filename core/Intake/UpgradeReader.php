<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;

/** What `apt-get upgrade` and `full-upgrade` print, in English. */
final class UpgradeReader implements Reader
{
    /** Beginnings of lines that mean trouble => what they mean. */
    private const TROUBLE = [
        'E: Could not get lock' => [
            'Another upgrade is running on the box.',
            'On a fresh box this is the automatic one; it ends by itself.',
            'Wait five minutes and type the command again.',
        ],
        'E: Unable to locate package' => [
            'A package is not in the index.',
            'The index is old, or the name is wrong for this release.',
            'Run apt-get update first.',
        ],
        'E: dpkg was interrupted' => [
            'An earlier upgrade was cut off.',
            'Half-installed packages must be finished first.',
            'Run sudo dpkg --configure -a, then this command again.',
        ],
        'E: You don\'t have enough free space' => [
            'The card is full.',
            'The file system may not have been grown to the card\'s size.',
            'Look at df --human-readable /.',
        ],
        'E: ' => ['The upgrade stopped with an error.', 'Its own words stand behind “E:”.', 'Read that line; nothing else was changed after it.'],
    ];

    public function kind(): string
    {
        return 'upgrade';
    }

    public function summary(): string
    {
        return 'apt-get upgrade, or apt-get full-upgrade';
    }

    public function read(string $text): Reading
    {
        foreach (explode("\n", $text) as $line) {
            foreach (self::TROUBLE as $start => [$found, $why, $do]) {
                if (str_starts_with(ltrim($line), $start)) {
                    return new Reading($this->kind(), [], Findings::of(Finding::stop('intake.upgrade_failed', $found, $why, $do)));
                }
            }
        }
        if (preg_match('/(\d{1,6}) upgraded, (\d{1,6}) newly installed, (\d{1,6}) to remove and (\d{1,6}) not upgraded/', $text, $match) !== 1) {
            return new Reading(
                $this->kind(),
                [],
                Findings::of(
                    Finding::warn(
                        'intake.no_upgrade_summary',
                        'The line that counts the packages is missing.',
                        'It reads “… upgraded, … newly installed, …” and stands before the scrolling part.',
                        'Paste from the command on.',
                    ),
                ),
            );
        }
        $summary = new UpgradeSummary(
            (int) $match[1],
            (int) $match[2],
            (int) $match[3],
            (int) $match[4],
            str_contains($text, 'System restart required'),
        );

        return new Reading(
            $this->kind(),
            [$summary],
            Findings::of(Finding::fine('intake.upgraded', "{$summary->upgraded} packages upgraded, {$summary->installed} new.")),
        );
    }
}
