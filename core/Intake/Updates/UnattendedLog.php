<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

/**
 * What unattended-upgrade(8) wrote into its log under /var/log/unattended-upgrades: `TIME LEVEL MESSAGE`, as its
 * own source forms each line, in English. It never throws, and reads so much and no more.
 */
final class UnattendedLog
{
    public const MOST = 2_000_000;

    private const MOST_RUNS = 400;

    private const LINE = '/^(\d{4}-\d\d-\d\d \d\d:\d\d:\d\d)(?:,\d{1,6})? (INFO|WARNING|ERROR|CRITICAL) (.*)$/';

    /** @return list<UnattendedRun> the newest last; none where it is no such log */
    public static function read(string $text): array
    {
        // The end of a long log is its newest part.
        $text = substr($text, -self::MOST);
        $runs = [];
        $now = null;
        foreach (preg_split('/\R/', mb_scrub($text, 'UTF-8')) ?: [] as $line) {
            if (preg_match(self::LINE, $line, $part) !== 1) {
                continue;
            }
            [, $at, $level, $said] = $part;
            if (str_starts_with($said, 'Starting unattended upgrades script')) {
                $now === null || ($runs[] = $now);
                $now = new UnattendedRun($at, [], null);
            } elseif ($now !== null) {
                $now = self::then($now, $level, $said);
            }
        }
        $now === null || ($runs[] = $now);

        return array_slice($runs, -self::MOST_RUNS);
    }

    private static function then(UnattendedRun $run, string $level, string $said): UnattendedRun
    {
        $with = fn (array $new): UnattendedRun => new UnattendedRun(...[...get_object_vars($run), ...$new]);

        return match (true) {
            str_starts_with($said, 'Packages that will be upgraded: ') => $with([
                'packages' => array_slice(
                    preg_split('/\s+/', trim(substr($said, 32)), -1, PREG_SPLIT_NO_EMPTY) ?: [],
                    0,
                    1000,
                ),
            ]),
            str_starts_with($said, 'Option --dry-run given') => $with(['tried' => true]),
            str_starts_with($said, 'All upgrades installed') => $with(['well' => $run->well ?? true]),
            str_starts_with($said, 'No packages found that can be upgraded unattended') => $with([
                'well' => $run->well ?? true,
            ]),
            $level === 'ERROR' || $level === 'CRITICAL' => $with([
                'well' => false,
                'said' => $run->said === '' ? mb_strimwidth($said, 0, 160, '…') : $run->said,
            ]),
            preg_match('/^Found \S+, rebooting/', $said) === 1 => $with(['restarts' => true]),
            default => $run,
        };
    }
}
