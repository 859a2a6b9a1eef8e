<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Who is in which group: `getent group` (group(5)), `id` and `groups NAME`. */
final class GroupReader implements Reader
{
    private const NAME = '[A-Za-z_][A-Za-z0-9_.-]{0,31}\\$?';

    /** Members of one group; more are not kept. */
    private const MOST = 500;

    public function kind(): string
    {
        return 'groups';
    }

    public function summary(): string
    {
        return 'getent group, id, groups NAME';
    }

    public function sign(): string
    {
        return '/^[A-Za-z_][\w.-]*:[^:\s]{0,2}:\d+:[\w.,$-]*$|^uid=\d+\(/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $name = self::NAME;
        $by = $numbers = [];
        foreach (Lines::of($text) as $number => $line) {
            $line = trim($line);
            if (preg_match("/^({$name}):[^:]*:(\d{1,10}):((?:{$name},?)*)$/D", $line, $m) === 1) {
                $numbers[$m[1]] = (int) $m[2];
                $by[$m[1]] = [...$by[$m[1]] ?? [], ...array_filter(explode(',', $m[3]))];
            } elseif (preg_match("/^uid=\d+\(({$name})\)/", $line, $account) === 1) {
                preg_match_all("/(?:gid=|groups=|,)(\d{1,10})\(({$name})\)/", $line, $all, PREG_SET_ORDER);
                foreach ($all as [, $id, $group]) {
                    $numbers[$group] = (int) $id;
                    $by[$group][] = $account[1];
                }
            } elseif (preg_match("/^({$name}) : ((?:{$name} ?)+)$/D", $line, $m) === 1) {
                foreach (explode(' ', trim($m[2])) as $group) {
                    $by[$group][] = $m[1];
                }
            } elseif ($line !== '') {
                $unread->add($number, 'no group stands in it');
            }
        }
        $facts = [];
        foreach ($by as $group => $accounts) {
            $facts[] = new GroupFact(
                (string) $group,
                $numbers[$group] ?? null,
                array_slice(array_values(array_unique($accounts)), 0, self::MOST),
            );
        }

        return new Reading(
            $this->kind(),
            $facts,
            $facts === []
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            [],
            $unread->count(),
        );
    }
}
