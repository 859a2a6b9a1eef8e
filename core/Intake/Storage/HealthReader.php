<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** `smartctl -a` and `-x` for people and `--json`, of drives on SATA, SCSI and NVMe; several, one after the other. */
final class HealthReader implements Reader
{
    /** Attributes by number (ATA; the numbers are common practice of drives, and no standard). */
    private const REALLOCATED = 5;

    private const HOURS = 9;

    private const CELSIUS = [194, 190];

    private const PENDING = 197;

    /** What is left of the erase cycles, from 100 down, under the numbers that drives use. */
    private const LEFT = [231, 233, 177, 202, 169];

    public function kind(): string
    {
        return 'health';
    }

    public function summary(): string
    {
        return 'smartctl -a (text, JSON)';
    }

    public function sign(): string
    {
        return '/^smartctl \d|"smartctl" *:|^=== START OF (?:INFORMATION|READ SMART DATA)|^SMART (?:overall-health|Health Status)/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $trimmed = ltrim($text);
        $facts = $trimmed !== '' && $trimmed[0] === '{' ? self::json($trimmed, $unread) : self::text($text);

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            [],
            $unread->count(),
        );
    }

    /** @return list<HealthFact> */
    private static function json(string $text, UnreadLines $unread): array
    {
        $all = json_decode($text, true, 32);
        if (! is_array($all)) {
            $unread->add(1, 'the text in curly brackets is not whole');

            return [];
        }
        $at = function (string ...$path) use ($all): mixed {
            $here = $all;
            foreach ($path as $key) {
                $here = is_array($here) ? $here[$key] ?? null : null;
            }

            return $here;
        };
        $number = fn (mixed $said): ?int => is_int($said) ? $said : null;
        $word = fn (mixed $said): ?string => is_string($said) && trim($said) !== '' ? trim($said) : null;
        $raw = $value = [];
        foreach (
            is_array($at('ata_smart_attributes', 'table')) ? $at('ata_smart_attributes', 'table') : [] as $one
        ) {
            if (is_array($one) && is_int($one['id'] ?? null)) {
                $value[$one['id']] = $number($one['value'] ?? null);
                $raw[$one['id']] = is_array($one['raw'] ?? null)
                    ? $number($one['raw']['value'] ?? null)
                    : null;
            }
        }
        $model = $word($at('model_name')) ?? $word($at('scsi_model_name'));
        if ($model === null && $at('smart_status', 'passed') === null && $raw === []) {
            $unread->add(1, 'no drive answered');

            return [];
        }

        return [
            new HealthFact(
                $model,
                $word($at('serial_number')),
                $number($at('user_capacity', 'bytes')),
                is_bool($at('smart_status', 'passed')) ? $at('smart_status', 'passed') : null,
                $number($at('power_on_time', 'hours')),
                $number($at('temperature', 'current')),
                $raw[self::REALLOCATED] ?? $number($at('scsi_grown_defect_list')),
                $raw[self::PENDING] ?? null,
                $number($at('nvme_smart_health_information_log', 'percentage_used')) ??
                    ($number($at('endurance_used', 'current_percent')) ?? self::worn($value)),
            ),
        ];
    }

    /** @return list<HealthFact> */
    private static function text(string $text): array
    {
        $facts = [];
        foreach (preg_split('/^(?=smartctl \d)/m', $text, 60, PREG_SPLIT_NO_EMPTY) ?: [] as $drive) {
            $fact = self::drive($drive);
            $fact === null || ($facts[] = $fact);
        }

        return $facts;
    }

    private static function drive(string $text): ?HealthFact
    {
        $said = fn (string $label): ?string => preg_match("/^(?:{$label}): +(\S.*)$/m", $text, $m) === 1
            ? trim($m[1])
            : null;
        $number = fn (?string $of): ?int => $of !== null && preg_match('/^([\d,.]+)/', $of, $m) === 1
            ? (int) str_replace([',', '.'], '', $m[1])
            : null;
        preg_match_all(
            '/^ *(\d{1,3}) [\w-]+ +0x[0-9a-f]{4} +(\d{1,3}) +\d{1,3} +\S+ +\S+ +\S+ +\S+ +(\d+)/m',
            $text,
            $rows,
            PREG_SET_ORDER,
        );
        $raw = $value = [];
        foreach ($rows as [, $id, $normal, $count]) {
            $value[(int) $id] = (int) $normal;
            $raw[(int) $id] = (int) $count;
        }
        // -x prints flags as letters: "  5 Reallocated_Sector_Ct   PO--CK   100   100   010    -    0".
        preg_match_all(
            '/^ *(\d{1,3}) [\w-]+ +[POSRCK-]{6} +(\d{1,3}) +\d{1,3} +\S+ +\S+ +(\d+)/m',
            $text,
            $brief,
            PREG_SET_ORDER,
        );
        foreach ($brief as [, $id, $normal, $count]) {
            $value[(int) $id] ??= (int) $normal;
            $raw[(int) $id] ??= (int) $count;
        }
        $passed = $said('SMART overall-health self-assessment test result|SMART Health Status');
        $model = $said('Device Model|Model Number|Product');
        if ($model === null && $passed === null && $raw === []) {
            return null;
        }
        $celsius =
            $raw[self::CELSIUS[0]] ??
            ($raw[self::CELSIUS[1]] ?? $number($said('Temperature|Current Drive Temperature')));

        return new HealthFact(
            $model,
            $said('Serial Number|Serial number'),
            $number($said('User Capacity|Namespace 1 Size\/Capacity|Total NVM Capacity')),
            $passed === null ? null : preg_match('/^(?:PASSED|OK)\b/', $passed) === 1,
            $raw[self::HOURS] ?? $number($said('Power On Hours|number of hours powered up')),
            $celsius,
            $raw[self::REALLOCATED] ?? $number($said('Elements in grown defect list')),
            $raw[self::PENDING] ?? null,
            $number($said('Percentage Used|Percentage used endurance indicator')) ?? self::worn($value),
        );
    }

    /** @param  array<int, ?int>  $value  normalised values by number */
    private static function worn(array $value): ?int
    {
        foreach (self::LEFT as $id) {
            if (isset($value[$id]) && $value[$id] >= 0 && $value[$id] <= 100) {
                return 100 - $value[$id];
            }
        }

        return null;
    }
}
