<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Partition tables: `sfdisk --json`, `sfdisk --dump`, and `sfdisk -l` or `fdisk -l` for people. */
final class PartitionReader implements Reader
{
    public function kind(): string
    {
        return 'partitions';
    }

    public function summary(): string
    {
        return 'sfdisk --json, sfdisk -l, sfdisk --dump, fdisk -l';
    }

    public function sign(): string
    {
        return '/"partitiontable" *:|^Disk \S+: .+ bytes, \d+ sectors|^label: (?:dos|gpt)$/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $known = preg_match($this->sign(), $text) === 1;
        $facts = match (true) {
            str_contains($text, '"partitiontable"') => self::json($text, $unread),
            preg_match('/^label: /m', $text) === 1 => self::dump($text, $unread),
            default => self::listed($text, $unread),
        };

        return new Reading(
            $this->kind(),
            $facts,
            $known
                ? $unread->findings()
                : Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())),
            $known ? ['partitions' => count($facts)] : [],
            $unread->count(),
        );
    }

    /** @return list<PartitionFact> */
    private static function json(string $text, UnreadLines $unread): array
    {
        $all = json_decode($text, true, 16);
        $table = is_array($all) ? $all['partitiontable'] ?? null : null;
        if (! is_array($table)) {
            $unread->add(1, 'the text in curly brackets is not whole');

            return [];
        }
        $word = fn (mixed $said): ?string => is_string($said) && $said !== '' ? $said : null;
        $sector = is_int($table['sectorsize'] ?? null) ? $table['sectorsize'] : 512;
        $facts = [];
        foreach (is_array($table['partitions'] ?? null) ? $table['partitions'] : [] as $one) {
            $name = is_array($one) ? $word($one['node'] ?? null) : null;
            if ($name !== null && is_array($one)) {
                $facts[] = new PartitionFact(
                    (string) $word($table['device'] ?? null),
                    $word($table['label'] ?? null),
                    $name,
                    is_int($one['start'] ?? null) ? $one['start'] : null,
                    is_int($one['size'] ?? null) ? $one['size'] * $sector : null,
                    $word($one['type'] ?? null),
                    $word($one['name'] ?? null),
                    $sector,
                );
            }
        }

        return $facts;
    }

    /** @return list<PartitionFact> */
    private static function dump(string $text, UnreadLines $unread): array
    {
        $head = [];
        $facts = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match('/^([a-z-]{4,16}): (.+)$/', $line, $m) === 1) {
                $head[$m[1]] = $m[2];
            } elseif (
                preg_match('/^(\S+) : start= *(\d+), size= *(\d+)(?:, type= *([\w-]+))?(.*)$/', $line, $m) ===
                1
            ) {
                $sector = (int) ($head['sector-size'] ?? 512);
                $facts[] = new PartitionFact(
                    $head['device'] ?? '',
                    $head['label'] ?? null,
                    $m[1],
                    (int) $m[2],
                    (int) $m[3] * $sector,
                    $m[4] ?: null,
                    preg_match('/name="([^"]*)"/', $m[5], $name) === 1 ? $name[1] : null,
                    $sector,
                );
            } elseif (trim($line) !== '') {
                $unread->add($number, 'no partition stands in it');
            }
        }

        return $facts;
    }

    /** @return list<PartitionFact> */
    private static function listed(string $text, UnreadLines $unread): array
    {
        $device = '';
        $table = null;
        $sector = 512;
        $columns = false;
        $facts = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match('/^Disk (\S+): .* bytes, \d+ sectors/', $line, $m) === 1) {
                [$device, $table, $columns] = [$m[1], null, false];
            } elseif (preg_match('/^Disklabel type: (\w+)/', $line, $m) === 1) {
                $table = $m[1];
            } elseif (preg_match('/^Units: sectors of \d+ \* \d+ = (\d+) bytes/', $line, $m) === 1) {
                $sector = (int) $m[1];
            } elseif (preg_match('/^Device +(?:Boot +)?Start +End +Sectors/', $line) === 1) {
                $columns = true;
            } elseif (
                $columns &&
                preg_match('/^(\S+) +(\*)? *(\d+) +(\d+) +(\d+) +\S+ +(.+)$/', $line, $m) === 1
            ) {
                // The older kind has its code in front of the name.
                $type =
                    preg_match('/^([0-9a-f]{1,2}) +(.+)$/', $m[6], $code) === 1 && $table === 'dos'
                        ? $code[1]
                        : trim($m[6]);
                $facts[] = new PartitionFact(
                    $device,
                    $table,
                    $m[1],
                    (int) $m[3],
                    (int) $m[5] * $sector,
                    $type,
                    null,
                    $sector,
                );
            } elseif ($columns && trim($line) !== '') {
                $unread->add($number, 'no partition stands in it');
            }
        }

        return $facts;
    }
}
