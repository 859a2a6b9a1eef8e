<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/**
 * Lines of /etc/fstab (fstab(5)). A disk that the box can start without gets `nofail` and a short wait, so that a
 * missing one does not stop the start; the last field is 2 for file systems that a check mends, after the root one's 1.
 */
final class FstabFile extends TypedFile
{
    private const WAIT = 10;

    /** File systems that fsck(8) checks at the start; the others look after themselves. */
    private const CHECKED = ['ext2', 'ext3', 'ext4'];

    public function kind(): string
    {
        return 'fstab';
    }

    public function summary(): string
    {
        return 'lines of /etc/fstab, with nofail and a short wait where the box can start without';
    }

    public function schema(): string
    {
        return 'core/Stores/schema/fstab.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var list<array{source: string, mount: string, fstype: string, options?: list<string>, needed?: bool, wait_s?: int, check?: int}> $entries */
        $entries = $data['entries'];
        $lines = [];
        $mounts = [];
        foreach ($entries as $i => $entry) {
            $swap = $entry['fstype'] === 'swap';
            if (
                preg_match(
                    '~^(?:(?:UUID|LABEL|PARTUUID|PARTLABEL)=\S.*|/\S.*|[\w.:-]+:/.*|tmpfs|proc|none)$~Du',
                    $entry['source'],
                ) !== 1
            ) {
                $found[] = ShareFindings::notASource($entry['source'], $at('entries', $i, 'source'));
            }
            if ($swap ? $entry['mount'] !== 'none' : preg_match('~^/~', $entry['mount']) !== 1) {
                $found[] = ShareFindings::notAMountPoint($entry['mount'], $at('entries', $i, 'mount'));
            }
            if (! $swap && isset($mounts[$entry['mount']])) {
                $found[] = ShareFindings::mountedTwice($entry['mount'], $at('entries', $i, 'mount'));
            }
            $mounts[$entry['mount']] = true;
            foreach ($entry['options'] ?? [] as $option) {
                if (preg_match('/[\s,#]|\p{C}/u', $option) === 1) {
                    $found[] = StoresFindings::notCarried('option', $option, $at('entries', $i, 'options'));
                }
            }
            foreach (['source', 'mount'] as $key) {
                if (preg_match('/\p{C}/u', $entry[$key]) === 1) {
                    $found[] = StoresFindings::notCarried($key, $entry[$key], $at('entries', $i, $key));
                }
            }
            $root = in_array($entry['mount'], ['/', '/boot', '/boot/firmware', '/usr'], true);
            $options = $entry['options'] ?? ['defaults'];
            if (! $swap && ! $root && ($entry['needed'] ?? false) === false) {
                $options = [
                    ...$options,
                    'nofail',
                    'x-systemd.device-timeout='.($entry['wait_s'] ?? self::WAIT).'s',
                ];
            }
            $check =
                $entry['check'] ??
                (in_array($entry['fstype'], self::CHECKED, true) ? ($entry['mount'] === '/' ? 1 : 2) : 0);
            $lines[] = [
                $swap ? PHP_INT_MAX : substr_count(rtrim($entry['mount'], '/'), '/'),
                implode(' ', [
                    self::escaped($entry['source']),
                    self::escaped($entry['mount']),
                    $entry['fstype'],
                    implode(',', array_unique($options)),
                    '0',
                    (string) $check,
                ]),
            ];
        }
        // What is mounted below another place comes after that one.
        usort($lines, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return implode('', array_map(fn (array $line): string => "{$line[1]}\n", $lines));
    }

    /** Blanks, backslashes and number signs in octal, as getmntent(3) reads them. */
    private static function escaped(string $text): string
    {
        return str_replace(['\\', ' ', "\t", '#'], ['\\134', '\\040', '\\011', '\\043'], $text);
    }
}
