<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Disks with their parts, whichever tool lists them: lsblk (JSON, table, -f), blkid, diskutil, Get-Disk. */
final class DisksReader implements Reader
{
    private const DEPTH = 16;

    private const MOST = 2000;

    private const HEAD = '/^NAME +(?:MAJ:MIN|FSTYPE|SIZE|TYPE|RM|RO|LABEL|UUID|MOUNTPOINTS?|MODEL|SERIAL|TRAN)\b/m';

    private const BLKID = '~^(/dev/[^\s:]{1,200}): ((?:[A-Z_]+="[^"]*" ?)+)$~';

    public function kind(): string
    {
        return 'disks';
    }

    public function summary(): string
    {
        return 'lsblk (JSON, table, -f), blkid, diskutil list -plist, Get-Disk | ConvertTo-Json';
    }

    public function sign(): string
    {
        return '~^NAME +(?:MAJ:MIN|FSTYPE|SIZE)|^/dev/[^\s:]{1,200}: (?:[A-Z_]+="[^"]*" ?)+$~m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $trimmed = ltrim($text);
        if (str_starts_with($trimmed, '<?xml') || str_starts_with($trimmed, '<plist')) {
            return $this->other((new DiskutilReader())->read($text));
        }
        if (str_contains($text, '"blockdevices"')) {
            $rows = self::json($trimmed, $unread);
        } elseif ($trimmed !== '' && ($trimmed[0] === '[' || $trimmed[0] === '{')) {
            return $this->other((new GetDiskReader())->read($text));
        } else {
            $rows =
                preg_match(self::HEAD, $text) === 1
                    ? self::table($text, $unread)
                    : self::blkid($text, $unread);
        }
        $facts = array_map(fn (DiskRow $row): DiskFact => $row->fact(), array_slice($rows, 0, self::MOST));

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

    /** What a reader of one tool made of it. */
    private function other(Reading $reading): Reading
    {
        return new Reading(
            $this->kind(),
            array_map(DiskFact::ofDevice(...), $reading->all(BlockDevice::class)),
            $reading->findings,
            [],
            $reading->unread,
        );
    }

    /** @return list<DiskRow> a disk, then its parts */
    private static function json(string $text, UnreadLines $unread): array
    {
        $all = json_decode($text, true, self::DEPTH);
        if (! is_array($all) || ! is_array($all['blockdevices'] ?? null)) {
            $unread->add(1, 'the list in brackets is not whole');

            return [];
        }
        $rows = [];
        foreach ($all['blockdevices'] as $one) {
            is_array($one) && self::device($one, $rows, null);
        }

        return $rows;
    }

    /**
     * @param  array<mixed>  $one
     * @param  list<DiskRow>  $rows
     */
    private static function device(array $one, array &$rows, ?DiskRow $above): void
    {
        $name = $one['name'] ?? null;
        if (! is_string($name) || $name === '' || count($rows) >= self::MOST) {
            return;
        }
        $said = [];
        foreach ($one as $key => $value) {
            $said[strtolower((string) $key)] = is_bool($value)
                ? ($value
                    ? '1'
                    : '0')
                : (is_scalar($value)
                    ? (string) $value
                    : null);
        }
        $tells = array_key_exists('mountpoint', $one) || array_key_exists('mountpoints', $one);
        $row = $rows[] = new DiskRow(self::plain($name), $said, $tells);
        $mounts = is_array($one['mountpoints'] ?? null) ? $one['mountpoints'] : [$one['mountpoint'] ?? null];
        foreach ($mounts as $mount) {
            $row->add(is_string($mount) ? $mount : null);
        }
        if ($above !== null) {
            $above->below[] = $row;
        }
        foreach (is_array($one['children'] ?? null) ? $one['children'] : [] as $child) {
            is_array($child) && self::device($child, $rows, $row);
        }
    }

    /** @return list<DiskRow> */
    private static function table(string $text, UnreadLines $unread): array
    {
        $columns = [];
        $rows = [];
        $above = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match(self::HEAD, $line) === 1) {
                $columns = self::columns($line);

                continue;
            }
            if (trim($line) === '' || $columns === []) {
                continue;
            }
            // More places where the last one is mounted stand alone below it.
            if (preg_match('/^[\s│|]*(\/\S*|\[SWAP\])$/u', $line, $m) === 1 && $rows !== []) {
                $rows[count($rows) - 1]->add($m[1]);

                continue;
            }
            if (preg_match('/^([\s│├└─|`-]*)([\w.\/:-]+)(.*)$/u', $line, $m) !== 1) {
                $unread->add($number, 'no disk stands in it');

                continue;
            }
            $said = self::cells($columns, $line, mb_strlen($m[1].$m[2]));
            $tells = isset($columns['mountpoints']) || isset($columns['mountpoint']);
            $row = $rows[] = new DiskRow(self::plain($m[2]), $said, $tells);
            $row->add($said['mountpoints'] ?? ($said['mountpoint'] ?? null));
            $depth = intdiv(mb_strlen($m[1]), 2);
            $above = array_slice($above, 0, $depth);
            $depth > 0 && isset($above[$depth - 1]) && ($above[$depth - 1]->below[] = $row);
            $above[$depth] = $row;
        }

        return $rows;
    }

    /** @return array<string, array{int, int}> head in lower case => from and to, in letters */
    private static function columns(string $line): array
    {
        $columns = [];
        preg_match_all('/\S+/', $line, $heads, PREG_OFFSET_CAPTURE);
        foreach ($heads[0] as [$head, $at]) {
            $columns[strtolower($head)] = [$at, $at + strlen($head)];
        }

        return $columns;
    }

    /**
     * Each word belongs to the column whose head it stands under, by its beginning or by its end; the last column takes
     * the rest of the line.
     *
     * @param  array<string, array{int, int}>  $columns
     * @param  int  $from  where the name ends
     * @return array<string, string>
     */
    private static function cells(array $columns, string $line, int $from): array
    {
        $cells = [];
        $offset = strlen(mb_substr($line, 0, $from));
        preg_match_all('/\S+/', $line, $words, PREG_OFFSET_CAPTURE, $offset);
        foreach ($words[0] as [$word, $byte]) {
            $at = mb_strlen(substr($line, 0, $byte));
            $end = $at + mb_strlen($word);
            $best = null;
            $nearest = PHP_INT_MAX;
            foreach ($columns as $head => [$begins, $ends]) {
                $far = $head === 'name' ? PHP_INT_MAX : min(abs($begins - $at), abs($ends - $end));
                // A word that covers its head stands under it, whichever edge it keeps to.
                $far = $head !== 'name' && $at <= $begins && $end >= $ends ? 0 : $far;
                if ($far < $nearest) {
                    [$best, $nearest] = [$head, $far];
                }
            }
            if ($best !== null) {
                $cells[$best] = isset($cells[$best]) ? "{$cells[$best]} {$word}" : $word;
            }
        }

        return $cells;
    }

    /** @return list<DiskRow> */
    private static function blkid(string $text, UnreadLines $unread): array
    {
        $rows = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match(self::BLKID, $line, $m) === 1) {
                preg_match_all('/([A-Z_]+)="([^"]*)"/', $m[2], $pairs, PREG_SET_ORDER);
                $said = [];
                foreach ($pairs as [, $key, $value]) {
                    $said[$key] = $value;
                }
                $rows[] = new DiskRow(
                    self::plain($m[1]),
                    [
                        'fstype' => $said['TYPE'] ?? null,
                        'label' => $said['LABEL'] ?? null,
                        'uuid' => $said['UUID'] ?? null,
                    ],
                    false,
                );
            } elseif (trim($line) !== '') {
                $unread->add($number, 'no disk with its values stands in it');
            }
        }

        return $rows;
    }

    private static function plain(string $name): string
    {
        return (string) preg_replace('~^/dev/~', '', $name);
    }
}
