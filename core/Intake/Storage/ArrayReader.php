<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** Arrays of disks: /proc/mdstat and `mdadm --detail` (mdadm(8)). */
final class ArrayReader implements Reader
{
    private const MOST = 200;

    public function kind(): string
    {
        return 'array';
    }

    public function summary(): string
    {
        return 'mdadm --detail, /proc/mdstat';
    }

    public function sign(): string
    {
        return '/^Personalities : |^md\w+ : (?:active|inactive)|^ *Raid Level : /m';
    }

    public function read(string $text): Reading
    {
        $facts = preg_match('/^ *Raid Level : /m', $text) === 1 ? self::detail($text) : self::mdstat($text);
        $known = $facts !== [] || preg_match('/^Personalities : /m', $text) === 1;

        return new Reading(
            $this->kind(),
            $facts,
            $known ? Findings::of() : Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())),
            $known ? ['arrays' => count($facts)] : [],
        );
    }

    /** @return list<ArrayFact> */
    private static function detail(string $text): array
    {
        $facts = [];
        foreach (preg_split('/^(?=\/dev\/\S+:$)/m', $text, self::MOST, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            if (preg_match('/^ *Raid Level : (\S+)/m', $part, $level) !== 1) {
                continue;
            }
            $said = fn (string $label): ?string => preg_match("/^ *{$label} : (.+)$/m", $part, $m) === 1
                ? trim($m[1])
                : null;
            $number = fn (?string $of): ?int => $of !== null && preg_match('/^\d{1,6}/', $of, $m) === 1
                ? (int) $m[0]
                : null;
            $state = $said('State');
            $devices = $number($said('Raid Devices'));
            $active = $number($said('Active Devices'));
            $rebuild = $said('(?:Rebuild|Resync|Reshape|Check) Status');
            $facts[] = new ArrayFact(
                preg_match('/^\/dev\/(?:md\/)?(\S+):$/m', $part, $name) === 1 ? $name[1] : 'md',
                $said('UUID'),
                $level[1],
                $state,
                $devices,
                $active,
                $number($said('Failed Devices')),
                $state === null
                    ? null
                    : str_contains($state, 'degraded') ||
                        ($devices !== null && $active !== null && $active < $devices),
                $rebuild !== null && preg_match('/^(\d{1,3}(?:\.\d+)?)%/', $rebuild, $m) === 1
                    ? (float) $m[1]
                    : null,
            );
        }

        return $facts;
    }

    /** @return list<ArrayFact> */
    private static function mdstat(string $text): array
    {
        /** @var list<array{name: string, state: string, level: ?string, members: string, more: string}> $blocks */
        $blocks = [];
        foreach (Lines::of($text) as $line) {
            if (
                preg_match(
                    '/^(md\w{1,30}) : ((?:in)?active)(?: \(([\w -]+)\))?(?: (raid\d+|linear|faulty|multipath))? ?(.*)$/',
                    $line,
                    $m,
                ) === 1
            ) {
                $blocks[] = [
                    'name' => $m[1],
                    'state' => trim("{$m[2]} {$m[3]}"),
                    'level' => $m[4] ?: null,
                    'members' => $m[5],
                    'more' => '',
                ];
            } elseif ($blocks !== [] && preg_match('/^\s+\S/', $line) === 1) {
                $last = array_pop($blocks);
                $blocks[] = ['more' => "{$last['more']}{$line}\n"] + $last;
            }
        }
        $facts = [];
        foreach (array_slice($blocks, 0, self::MOST) as $one) {
            $counted = preg_match('/\[(\d{1,4})\/(\d{1,4})\] \[[U_]+\]/', $one['more'], $of) === 1;
            $failed = preg_match_all('/\(F\)/', $one['members']);
            $rebuild =
                preg_match('/(recovery|resync|reshape|check) *= *(\d{1,3}(?:\.\d+)?)%/', $one['more'], $m) ===
                1;
            $facts[] = new ArrayFact(
                $one['name'],
                null,
                $one['level'],
                $one['state'].($rebuild ? ", {$m[1]}" : ''),
                $counted ? (int) $of[1] : null,
                $counted ? (int) $of[2] : null,
                (int) $failed,
                $counted ? (int) $of[2] < (int) $of[1] : null,
                $rebuild ? (float) $m[2] : null,
            );
        }

        return $facts;
    }
}
