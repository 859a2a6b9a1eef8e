<?php

declare(strict_types=1);

namespace Burrow\Intake\Containers;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;

/** The engines' tables for people: columns stand under their heads, and a cell may be empty. */
final class ContainerTable
{
    public const HEAD = '/^(?:CONTAINER ID|NAME|IMAGE|NAMES) {2,}.*(?:STATUS|STATE|IMAGE|PORTS)/m';

    /** "80/tcp -> 0.0.0.0:8082", with the container before it when all are asked. */
    public const PORT = '~^(?:(\S{1,128})[ \t]+)?(\d{1,5})/(tcp|udp|sctp) -> (\S*):(\d{1,5})$~m';

    /** @return list<Container> */
    public static function read(string $text, UnreadLines $unread): array
    {
        $columns = [];
        $facts = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match(self::HEAD, $line) === 1) {
                $columns = self::columns($line);

                continue;
            }
            if (trim($line) === '' || preg_match('/^(?:-+|Emulate |WARN)/', $line) === 1) {
                continue;
            }
            $fact = $columns === [] ? null : self::row($columns, $line);
            $fact === null ? $unread->add($number, 'no container stands in it') : ($facts[] = $fact);
        }

        return $facts;
    }

    /** @return list<Container> one for each container that is named, or one without name */
    public static function ports(string $text, UnreadLines $unread): array
    {
        $ports = [];
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match(self::PORT, $line, $m) === 1) {
                $published = PublishedPort::list("{$m[4]}:{$m[5]}->{$m[2]}/{$m[3]}");
                $ports[$m[1]] = [...$ports[$m[1]] ?? [], ...$published ?? []];
            } elseif (trim($line) !== '') {
                $unread->add($number, 'no port stands in it');
            }
        }
        $facts = [];
        foreach ($ports as $name => $published) {
            $facts[] = new Container($name === '' ? null : (string) $name, null, null, $published);
        }

        return $facts;
    }

    /** @return array<string, int> where each column begins, in characters */
    private static function columns(string $line): array
    {
        $columns = [];
        preg_match_all('/\S+(?: \S+)*/', $line, $heads, PREG_OFFSET_CAPTURE);
        foreach ($heads[0] as [$head, $at]) {
            $columns[strtolower($head)] = $at;
        }

        return $columns;
    }

    /** @param  array<string, int>  $columns */
    private static function row(array $columns, string $line): ?Container
    {
        $cells = self::cells($columns, $line) ?? self::apart($columns, $line);
        if ($cells === null) {
            return null;
        }
        $ports = PublishedPort::list($cells['ports'] ?? '');
        $name = $cells['names'] ?? ($cells['name'] ?? '');

        return $ports === null || ($name === '' && ($cells['image'] ?? '') === '')
            ? null
            : new Container(
                $name === '' ? null : explode(',', $name)[0],
                $cells['image'] ?? '' ?: null,
                Container::state($cells['status'] ?? ($cells['state'] ?? '')),
                $ports,
            );
    }

    /**
     * Each cell from where its head begins to the next; null when a word stands across the edge of two columns.
     *
     * @param  array<string, int>  $columns
     * @return ?array<string, string>
     */
    private static function cells(array $columns, string $line): ?array
    {
        $starts = array_values($columns);
        $cells = [];
        foreach (array_keys($columns) as $i => $head) {
            $next = $starts[$i + 1] ?? null;
            if ($next !== null && ! in_array(mb_substr($line, $next - 1, 1), [' ', ''], true)) {
                return null;
            }
            $cells[$head] = trim(mb_substr($line, $starts[$i], $next === null ? null : $next - $starts[$i]));
        }

        return $cells;
    }

    /**
     * A row whose cells are longer than their heads leave room for: all of them are there, two blanks between.
     *
     * @param  array<string, int>  $columns
     * @return ?array<string, string>
     */
    private static function apart(array $columns, string $line): ?array
    {
        $cells = preg_split('/ {2,}/', trim($line)) ?: [];

        return count($cells) === count($columns) ? array_combine(array_keys($columns), $cells) : null;
    }
}
