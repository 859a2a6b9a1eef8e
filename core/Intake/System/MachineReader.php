<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/**
 * What a box runs on, from any of os-release, `hostnamectl`, `lscpu` (text or JSON), `uname -a`, `free`, `uptime`, one
 * after the other in one text.
 */
final class MachineReader implements Reader
{
    private const UNITS = [
        '' => 1024,
        'B' => 1,
        'Ki' => 1024,
        'Mi' => 1048576,
        'Gi' => 1073741824,
        'Ti' => 1099511627776,
    ];

    /** Names that the kernel and Debian use; the bits of their registers. */
    private const BITS = [
        'aarch64' => 64,
        'arm64' => 64,
        'x86_64' => 64,
        'amd64' => 64,
        'x86-64' => 64,
        'riscv64' => 64,
        'armv6l' => 32,
        'armv7l' => 32,
        'armhf' => 32,
        'armel' => 32,
        'i386' => 32,
        'i686' => 32,
    ];

    public function kind(): string
    {
        return 'machine';
    }

    public function summary(): string
    {
        return 'os-release, hostnamectl, lscpu, uname -a, free, uptime';
    }

    public function sign(): string
    {
        return '/^(?:VERSION_CODENAME=|PRETTY_NAME=|\s*Operating System: |Architecture: |Linux \S+ \d|Mem: +\d)|load average: |"field": *"Architecture:"/m';
    }

    public function read(string $text): Reading
    {
        $value = fn (string $pattern): ?string => preg_match($pattern, $text, $m) === 1 ? $m[1] : null;
        $architecture =
            $value('/^Linux \S+ \S+ .*\b(aarch64|x86_64|armv[67]l|i686|riscv64)\b/m') ??
            ($value('/^\s*Architecture: +(\S{1,20})/m') ??
                ($value('/"field": *"Architecture:",\s*"data": *"([^"]{1,20})"/') ??
                    $value('/^(arm64|armhf|amd64|i386|armel|riscv64)$/m')));
        $cores = $value('/^CPU\(s\): +(\d{1,4})$/m') ?? $value('/"field": *"CPU\(s\):",\s*"data": *"(\d{1,4})"/');
        $loads =
            preg_match('/load averages?: ([\d.,]{3,8}?),? +([\d.,]{3,8}?),? +([\d.,]{3,8})/', $text, $l) === 1
                ? $l
                : null;
        $load = fn (int $at): ?float => $loads === null
            ? null
            : (float) str_replace(',', '.', rtrim($loads[$at], ','));
        $fact = new MachineFact(
            $value('/^ID="?([a-z0-9._-]{1,40})"?$/m'),
            $value('/^VERSION_ID="?([0-9.]{1,20})"?$/m') ??
                $value('~^\s*Operating System: Debian GNU/Linux (\d+)~m'),
            $value('/^VERSION_CODENAME="?([a-z]{1,40})"?$/m') ??
                $value('/^\s*Operating System: [^(\n]*\(([a-z]+)\)/m'),
            $architecture,
            self::BITS[$architecture ?? ''] ?? null,
            $cores === null ? null : (int) $cores,
            self::memory($text, 0),
            self::memory($text, 5),
            self::uptime($text),
            $load(1),
            $load(2),
            $load(3),
        );

        return array_filter($fact->jsonSerialize(), fn (mixed $one): bool => $one !== null) === []
            ? new Reading($this->kind(), [], Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())))
            : new Reading($this->kind(), [$fact], Findings::of());
    }

    /** @param  int  $column  of the line "Mem:"; without a unit free(1) counts in KiB, with --mebi in MiB and so on */
    private static function memory(string $text, int $column): ?int
    {
        if (preg_match('/^Mem: +(.+)$/m', $text, $m) !== 1) {
            return null;
        }
        $columns = preg_split('/ +/', trim($m[1])) ?: [];
        if (preg_match('/^(\d{1,15}(?:\.\d+)?)(B|Ki|Mi|Gi|Ti|)$/', $columns[$column] ?? '', $n) !== 1) {
            return null;
        }
        // Plain numbers: no machine has less than 64 MiB, so small ones are mebibytes and huge ones bytes.
        $total = (float) $columns[0];
        $unit = $n[2] !== '' ? self::UNITS[$n[2]] : ($total < 65536 ? 1048576 : ($total > 1e9 ? 1 : 1024));

        return (int) round((float) $n[1] * $unit);
    }

    private static function uptime(string $text): ?int
    {
        if (preg_match('/\bup +(?:(\d{1,5}) days?, +)?(?:(\d{1,2}):(\d\d)|(\d{1,2}) min)\b/', $text, $m) === 1) {
            [, $days, $hours, $minutes, $only] = [...$m, '', '', '', ''];

            return (int) $days * 86400 + (int) $hours * 3600 + ((int) $minutes + (int) $only) * 60;
        }
        if (preg_match('/^up ((?:\d+ (?:week|day|hour|minute)s?(?:, )?)+)$/m', $text, $m) !== 1) {
            return null;
        }
        preg_match_all('/(\d+) (week|day|hour|minute)/', $m[1], $parts, PREG_SET_ORDER);
        $seconds = ['week' => 604800, 'day' => 86400, 'hour' => 3600, 'minute' => 60];

        return (int) array_sum(array_map(fn (array $part): int => (int) $part[1] * $seconds[$part[2]], $parts));
    }
}
