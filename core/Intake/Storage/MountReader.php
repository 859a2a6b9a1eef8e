<?php

declare(strict_types=1);

namespace Burrow\Intake\Storage;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** What is mounted: findmnt(8) as tree, list and JSON, mount(8) of two systems, /proc/mounts and fstab(5). */
final class MountReader implements Reader
{
    private const DEPTH = 64;

    public function kind(): string
    {
        return 'mounts';
    }

    public function summary(): string
    {
        return 'findmnt (tree, JSON), mount, /proc/mounts, fstab';
    }

    public function sign(): string
    {
        return '/^TARGET +SOURCE +FSTYPE|"filesystems" *: *\[|^\S+ on \/.{0,300}? (?:type \S+ )?\([\w,=:. -]+\)$|'.
            '^(?:UUID=|LABEL=|PARTUUID=|\/dev\/|\/\/|proc\s)\S*\s+(?:\/\S*|none|swap)\s+[\w.-]+\s+\S+\s+\d\s+\d\s*$/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $trimmed = ltrim($text);
        $facts =
            $trimmed !== '' && $trimmed[0] === '{'
                ? self::json($trimmed, $unread)
                : self::lines($text, $unread);

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

    /** @return list<MountFact> */
    private static function json(string $text, UnreadLines $unread): array
    {
        $all = json_decode($text, true, self::DEPTH);
        if (! is_array($all) || ! is_array($all['filesystems'] ?? null)) {
            $unread->add(1, 'the list in brackets is not whole');

            return [];
        }
        $facts = [];
        $waiting = array_values($all['filesystems']);
        while ($waiting !== []) {
            $one = array_shift($waiting);
            if (! is_array($one)) {
                continue;
            }
            $word = fn (string $key): ?string => is_string($one[$key] ?? null) && $one[$key] !== ''
                ? $one[$key]
                : null;
            $facts[] = new MountFact(
                $word('source'),
                $word('target'),
                $word('fstype'),
                $word('options') === null ? [] : explode(',', (string) $word('options')),
            );
            // Children stand behind their parent, as in the tree.
            $waiting = [
                ...is_array($one['children'] ?? null) ? array_values($one['children']) : [],
                ...$waiting,
            ];
        }

        return $facts;
    }

    /** @return list<MountFact> */
    private static function lines(string $text, UnreadLines $unread): array
    {
        $facts = [];
        $columns = null;
        foreach (Lines::of($text) as $number => $line) {
            if (trim($line) === '' || preg_match('/^\s*#/', $line) === 1) {
                continue;
            }
            if (preg_match('/^TARGET +SOURCE +FSTYPE/', $line) === 1) {
                $columns = true;

                continue;
            }
            $fact = $columns !== null ? self::tree($line) : self::mounted($line) ?? self::table($line);
            $fact === null
                ? $unread->add($number, 'nothing that is mounted stands in it')
                : ($facts[] = $fact);
        }

        return $facts;
    }

    /** "├─/srv/store  /dev/sda1  ext4  rw,relatime"; without lines of the tree under -l. */
    private static function tree(string $line): ?MountFact
    {
        $plain = (string) preg_replace('/^[\s│├└─|`-]*(?=\/)/u', '', $line);

        return preg_match('/^(\/\S*) +(\S+) +([\w.-]+)(?: +(\S+))?$/', $plain, $m) === 1
            ? new MountFact(self::unescaped($m[2]), self::unescaped($m[1]), $m[3], self::options($m[4] ?? ''))
            : null;
    }

    /** "/dev/sda1 on /srv/store type ext4 (rw,relatime)", and without a type "(apfs, local, journaled)". */
    private static function mounted(string $line): ?MountFact
    {
        if (
            preg_match(
                '/^(\S.{0,300}?) on (\/.{0,300}?) type ([\w.-]+) \((.{0,800})\)(?: \[.*\])?$/',
                $line,
                $m,
            ) === 1
        ) {
            return new MountFact($m[1], $m[2], $m[3], self::options($m[4]));
        }
        if (
            preg_match('/^(\S.{0,300}?) on (\/.{0,300}?) \(([\w.-]+)(?:, (.{0,800}))?\)$/', $line, $m) === 1
        ) {
            return new MountFact($m[1], $m[2], $m[3], self::options($m[4] ?? ''));
        }

        return null;
    }

    /** A line of fstab(5): the last two fields may be left out. */
    private static function table(string $line): ?MountFact
    {
        $words = Lines::words($line);
        if (
            count($words) < 4 ||
            count($words) > 6 ||
            preg_match('/^(?:\/|none$|swap$|-$)/', $words[1]) !== 1
        ) {
            return null;
        }
        foreach (array_slice($words, 4) as $last) {
            if (preg_match('/^\d$/D', $last) !== 1) {
                return null;
            }
        }

        return new MountFact(
            self::unescaped($words[0]),
            $words[1][0] === '/' ? self::unescaped($words[1]) : null,
            $words[2],
            self::options($words[3]),
        );
    }

    /** @return list<string> */
    private static function options(string $said): array
    {
        return preg_split('/,\s*/', $said, 100, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** Blanks and other letters stand as \040 there, and as \x20 in findmnt's own list. */
    private static function unescaped(string $said): string
    {
        return (string) preg_replace_callback(
            '/\\\\(?:([0-3][0-7]{2})|x([0-9a-f]{2}))/',
            fn (array $m): string => chr((int) ($m[1] !== '' ? octdec($m[1]) : hexdec($m[2] ?? ''))),
            $said,
        );
    }
}
