<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/**
 * A mount unit of systemd (systemd.mount(5)), the other way beside a line of /etc/fstab: it can be started by itself,
 * and services may require it by name. A disk that the box can start without gets `nofail` and a short wait.
 */
final class MountUnit extends TypedFile
{
    private const WAIT = 10;

    /** File systems that lie on another machine (systemd.mount(5): they wait for the network). */
    private const REMOTE = ['nfs', 'nfs4', 'cifs', 'smb3', 'sshfs', 'fuse.sshfs'];

    /** Names of disks, and where udev(7) makes links of them. */
    private const LINKS = [
        'UUID' => 'by-uuid',
        'LABEL' => 'by-label',
        'PARTUUID' => 'by-partuuid',
        'PARTLABEL' => 'by-partlabel',
    ];

    public function kind(): string
    {
        return 'mount';
    }

    public function summary(): string
    {
        return 'a mount unit of systemd for one disk or share, in place of a line of fstab';
    }

    public function schema(): string
    {
        return 'core/Stores/schema/mount.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var array{source: string, mount: string, fstype: string, options?: list<string>, needed?: bool, wait_s?: int} $data */
        $what = self::what($data['source']);
        $what !== null || ($found[] = ShareFindings::notASource($data['source'], $at('source')));
        $where = rtrim($data['mount'], '/');
        if (preg_match('~^(?:/(?!\.{1,2}(?:/|$))[^/]+)+$~D', $where) !== 1) {
            $found[] = ShareFindings::notAMountPoint($data['mount'], $at('mount'));
        }
        foreach (['source' => $data['source'], 'mount' => $data['mount']] as $key => $value) {
            // A backslash at its end goes on in the next line; blanks at either end are cut off.
            if (preg_match('/\p{C}|^\s|[\s\\\\]$/u', $value) !== 0) {
                $found[] = StoresFindings::notCarried($key, $value, $at($key));
            }
        }
        foreach ($data['options'] ?? [] as $i => $option) {
            if (preg_match('/[\s,\\\\]|\p{C}/u', $option) !== 0) {
                $found[] = StoresFindings::notCarried('option', $option, $at('options', $i));
            }
        }
        $needed = $data['needed'] ?? false;
        $options = [...$data['options'] ?? ['defaults'], ...$needed ? [] : ['nofail']];
        $target = in_array($data['fstype'], self::REMOTE, true) ? 'remote-fs.target' : 'local-fs.target';
        $lines = ['# /etc/systemd/system/'.self::escaped($where).'.mount'];
        if (! $needed && $what !== null && str_starts_with($what, '/dev/')) {
            $lines = [
                ...$lines,
                '# A short wait for its disk stands in a file of its own, with the two lines below:',
                '# /etc/systemd/system/'.self::escaped($what).'.device.d/wait.conf',
                '#   [Unit]',
                '#   JobRunningTimeoutSec='.($data['wait_s'] ?? self::WAIT),
            ];
        }

        return implode("\n", [
            ...$lines,
            '[Unit]',
            'Description='.self::literal($where),
            '',
            '[Mount]',
            'What='.self::literal((string) $what),
            'Where='.self::literal($where),
            "Type={$data['fstype']}",
            'Options='.self::literal(implode(',', array_unique($options))),
            '',
            '[Install]',
            ($needed ? 'RequiredBy=' : 'WantedBy=').$target,
            '',
        ]);
    }

    /**
     * The name of a path as that of a unit (systemd.unit(5), “string escaping”).
     *
     * @param  string  $path  from the root, without an empty part
     */
    public static function escaped(string $path): string
    {
        $name = '';
        foreach (str_split(trim($path, '/')) as $at => $byte) {
            $name .= match (true) {
                $byte === '/' => '-',
                preg_match('/[A-Za-z0-9:_]/', $byte) === 1, $byte === '.' && $at > 0 => $byte,
                default => sprintf('\x%02x', ord($byte)),
            };
        }

        return $name;
    }

    /** The path or share that is mounted; null when it is neither. */
    private static function what(string $source): ?string
    {
        if (preg_match('/^(UUID|LABEL|PARTUUID|PARTLABEL)=(.+)$/Ds', $source, $match) === 1) {
            // Names of links as udev makes them: other bytes in hexadecimal.
            $name = preg_replace_callback(
                '~[^A-Za-z0-9#+.:=@_\x80-\xff-]~',
                fn (array $byte): string => sprintf('\x%02x', ord($byte[0])),
                $match[2],
            );

            return '/dev/disk/'.self::LINKS[$match[1]]."/{$name}";
        }

        return preg_match('~^(?:/\S.*|[\w.:-]+:/.*|tmpfs)$~Du', $source) === 1 ? $source : null;
    }

    /** Signs of percent begin a specifier (systemd.unit(5)). */
    private static function literal(string $text): string
    {
        return str_replace('%', '%%', $text);
    }
}
