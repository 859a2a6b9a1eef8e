<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use DateTimeImmutable;
use Exception;

/** Failed units and timers, from `systemctl --failed` and `systemctl list-timers`. */
final class UnitsReader implements Reader
{
    private const UNIT = '[A-Za-z0-9:_.\\\\@-]{1,200}\.(?:service|timer|socket|mount|target|path|swap|scope|slice|device|automount)';

    public function kind(): string
    {
        return 'units';
    }

    public function summary(): string
    {
        return 'systemctl --failed, systemctl list-timers';
    }

    public function sign(): string
    {
        return '/^\d+ (?:loaded units|timers) listed|\.(?:service|mount|socket|timer) +(?:loaded|not-found|masked) +|^NEXT +LEFT/m';
    }

    public function read(string $text): Reading
    {
        $facts = [];
        foreach (explode("\n", $text) as $line) {
            $unit = self::UNIT;
            if (
                preg_match(
                    "/^\\W{0,4}({$unit})\\s+(?:loaded|not-found|masked|error|bad-setting|merged|stub)\\s+(\\S+)\\s+(\\S+)/",
                    $line,
                    $m,
                ) === 1
            ) {
                $facts[] = new UnitFact($m[1], $m[2], null, null);
            } elseif (preg_match("/^(.{0,120}?)\\s({$unit})\\s+({$unit})\\s*$/", $line, $m) === 1) {
                $facts[] = new UnitFact($m[2], null, $m[3], self::next($m[1]));
            }
        }
        $known = $facts !== [] || preg_match('/^\d+ (?:loaded units|timers) listed/m', $text) === 1;

        return new Reading(
            $this->kind(),
            $facts,
            $known ? Findings::of() : Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())),
        );
    }

    /** The first time in a timer's line; null for "-" and "n/a". */
    private static function next(string $before): ?int
    {
        if (
            preg_match(
                '/^(?:[A-Z][a-z]{2} )?(\d{4}-\d\d-\d\d \d\d:\d\d:\d\d)(?: ([A-Z]{2,5}|[+-]\d\d(?::?\d\d)?))?/',
                $before,
                $m,
            ) !== 1
        ) {
            return null;
        }
        try {
            return (new DateTimeImmutable($m[1].' '.($m[2] ?? 'UTC')))->getTimestamp();
        } catch (Exception) {
            return null;
        }
    }
}
