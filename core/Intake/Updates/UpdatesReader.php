<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/**
 * Packages that wait or were changed, from `apt list --upgradable`, `apt-get --simulate`, an upgrade as it scrolled by,
 * or dpkg.log. The words are those of apt(8), apt-get(8) and dpkg(1) in English.
 */
final class UpdatesReader implements Reader
{
    private const NAME = '[a-z0-9][a-z0-9+.-]{1,80}';

    private const VERSION = '[0-9A-Za-z.+:\~-]{1,80}';

    public function kind(): string
    {
        return 'updates';
    }

    public function summary(): string
    {
        return 'packages that wait or were changed: apt list, apt-get -s, an upgrade, dpkg.log';
    }

    public function sign(): string
    {
        return '/\[upgradable from: |^(?:Inst|Remv) '.
            self::NAME.
            ' |\d+ upgraded, \d+ newly installed|^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d (?:upgrade|install|remove) /m';
    }

    public function read(string $text): Reading
    {
        /** @var array<string, PackageChange> $facts */
        $facts = [];
        $counted = null;
        $held = false;
        foreach (explode("\n", $text) as $line) {
            $change = self::change($line);
            if ($change !== null) {
                $facts["{$change->package} {$change->change}"] = $change;
                $held = false;
            } elseif (
                preg_match(
                    '/^(\d{1,6}) upgraded, (\d{1,6}) newly installed, (\d{1,6}) to remove and (\d{1,6}) not upgraded/',
                    $line,
                    $match,
                ) === 1
            ) {
                $counted = array_map(intval(...), array_slice($match, 1));
            } elseif (preg_match('/^The following packages have been kept back:/', $line) === 1) {
                $held = true;
            } elseif ($held && preg_match('/^  (\S.*)$/', $line, $match) === 1) {
                foreach (explode(' ', $match[1]) as $name) {
                    $facts["{$name} held"] = new PackageChange($name, null, null, null, null, 'held');
                }
            } else {
                $held = false;
            }
        }
        $facts = array_values($facts);
        if ($facts === [] && $counted === null && ! str_contains($text, 'Listing...')) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::noUpgradeSummary()));
        }
        $count = fn (string $change): int => count(
            array_filter($facts, fn (PackageChange $one): bool => $one->change === $change),
        );

        return new Reading($this->kind(), $facts, Findings::of(), [
            'upgraded' => $counted[0] ?? $count('upgrade'),
            'installed' => $counted[1] ?? $count('new'),
            'removed' => $counted[2] ?? $count('removed'),
            'held' => $counted[3] ?? $count('held'),
        ]);
    }

    private static function change(string $line): ?PackageChange
    {
        $name = self::NAME;
        $version = self::VERSION;
        if (
            preg_match("~^({$name})/(\\S+) ({$version}) \\S+ \\[upgradable from: ({$version})\\]~", $line, $m) === 1
        ) {
            return new PackageChange($m[1], $m[4], $m[3], $m[2], str_contains($m[2], '-security'), 'upgrade');
        }
        if (
            preg_match("~^Inst ({$name})(?: \\[({$version})\\])? \\(({$version}) ([^)]{1,300})\\)~", $line, $m) ===
            1
        ) {
            $origin = trim((string) preg_replace('/ \[[^\]]*\]$/', '', $m[4]));

            return new PackageChange(
                $m[1],
                $m[2] === '' ? null : $m[2],
                $m[3],
                $origin,
                stripos($origin, 'security') !== false,
                $m[2] === '' ? 'new' : 'upgrade',
            );
        }
        if (preg_match("~^Remv ({$name})(?: \\[({$version})\\])?~", $line, $m) === 1) {
            return new PackageChange($m[1], $m[2] ?? null, null, null, null, 'removed');
        }
        if (
            preg_match(
                "~^Unpacking ({$name})(?::[a-z0-9]+)? \\(({$version})\\)(?: over \\(({$version})\\))? \\.\\.\\.~",
                $line,
                $m,
            ) === 1
        ) {
            return new PackageChange($m[1], $m[3] ?? null, $m[2], null, null, isset($m[3]) ? 'upgrade' : 'new');
        }
        if (preg_match("~^Removing ({$name})(?::[a-z0-9]+)? \\(({$version})\\) \\.\\.\\.~", $line, $m) === 1) {
            return new PackageChange($m[1], $m[2], null, null, null, 'removed');
        }
        if (
            preg_match(
                "~^\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d:\\d\\d (upgrade|install|remove) ({$name})(?::[a-z0-9]+)? (<none>|{$version}) (<none>|{$version})$~",
                $line,
                $m,
            ) === 1
        ) {
            return new PackageChange(
                $m[2],
                $m[3] === '<none>' ? null : $m[3],
                $m[4] === '<none>' ? null : $m[4],
                null,
                null,
                ['upgrade' => 'upgrade', 'install' => 'new', 'remove' => 'removed'][$m[1]],
            );
        }

        return null;
    }
}
