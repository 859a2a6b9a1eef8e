<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/**
 * `df` in its forms: blocks of any size, figures with a letter, with types, POSIX's, the BSDs' with their inodes. What
 * a column is its head says; a mount point is the rest of the line and may hold blanks.
 */
final class FillReader implements Reader
{
    private const HEAD = '/^Filesystem\s+(?:Type\s+)?(\S*[bB]locks|Size|Inodes)\b/m';

    private const UNITS = [
        '' => 1,
        'K' => 1024,
        'M' => 1048576,
        'G' => 1073741824,
        'T' => 1099511627776,
        'P' => 1125899906842624,
        'E' => 1152921504606846976,
    ];

    public function kind(): string
    {
        return 'fill';
    }

    public function summary(): string
    {
        return 'df in its forms';
    }

    public function sign(): string
    {
        return '/^Filesystem\s+(?:Type\s+)?(?:\S*[bB]locks|Size)\s+Used\s+Avail/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = [];
        $unit = null;
        $type = $inodes = false;
        $waiting = '';
        foreach (Lines::of($text) as $number => $line) {
            if (trim($line) === '' || preg_match('/^(?:df: |total\s)/', $line) === 1) {
                continue;
            }
            if (preg_match(self::HEAD, $line, $head) === 1) {
                $unit = self::unit($head[1]);
                $type = preg_match('/^Filesystem\s+Type\s/', $line) === 1;
                // The BSDs put three columns of inodes before the mount point.
                $inodes = preg_match('/\bifree\b/', $line) === 1;

                continue;
            }
            // A long source stands alone, and its figures on the next line.
            if (preg_match('/^\S+$/', $line) === 1) {
                $waiting = $line;

                continue;
            }
            $fact =
                $unit === null ? null : self::row(ltrim("{$waiting} ").ltrim($line), $unit, $type, $inodes);
            $waiting = '';
            $fact === null
                ? $unread->add($number, 'no file system with its figures stands in it')
                : ($facts[] = $fact);
        }

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

    /** Bytes of one block; 0 where the figures carry their unit, null for inodes, which are no bytes. */
    private static function unit(string $head): ?int
    {
        if ($head === 'Size') {
            return 0;
        }
        if (preg_match('/^(\d{0,9})([KMGTkmgt]?)(B?)-?blocks$/i', $head, $m) !== 1) {
            return null;
        }
        $count = $m[1] === '' ? 1 : (int) $m[1];

        // "1kB-blocks" are powers of a thousand, "1K-blocks" and "1B-blocks" are not.
        return $m[3] !== '' && $m[2] !== ''
            ? $count * (int) (1000 ** (int) array_search(strtoupper($m[2]), ['', 'K', 'M', 'G', 'T'], true))
            : $count * self::UNITS[strtoupper($m[2])];
    }

    private static function row(string $line, int $unit, bool $type, bool $inodes): ?FillFact
    {
        $figure = '(-|[\d.,]{1,20}[KMGTPE]?i?B?)';
        $form =
            '/^(.{1,400}?)'.
            ($type ? '\s+([\w.-]{1,32})' : '()').
            "\s+{$figure}\s+{$figure}\s+{$figure}\s+(-|\d{1,3}%)".
            ($inodes ? '\s+\S+\s+\S+\s+(?:\d{1,3}%|-)' : '').
            '\s+(\S.{0,400})$/i';
        if (preg_match($form, $line, $m) !== 1) {
            return null;
        }

        return new FillFact(
            $m[7],
            $m[1] === '-' ? null : $m[1],
            self::bytes($m[3], $unit),
            self::bytes($m[4], $unit),
            self::bytes($m[5], $unit),
            $m[6] === '-' ? null : (int) $m[6],
        );
    }

    private static function bytes(string $said, int $unit): ?int
    {
        if (preg_match('/^([\d.,]+)([KMGTPE]?)i?B?$/i', $said, $m) !== 1) {
            return null;
        }
        $number = (float) str_replace(',', '.', $m[1]);
        if ($unit > 0 && $m[2] === '') {
            return is_finite($number) && $number * $unit < PHP_INT_MAX ? (int) round($number * $unit) : null;
        }
        $bytes = $number * self::UNITS[strtoupper($m[2])];

        return $bytes < PHP_INT_MAX ? (int) round($bytes) : null;
    }
}
