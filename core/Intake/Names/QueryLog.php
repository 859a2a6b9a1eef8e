<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Logs of resolvers, line by line: dnsmasq(8) log-queries (also "extra"), unbound.conf(5) log-queries, log-replies and
 * log-local-actions, the queries and rpz channels of BIND, and CSV with a head. A log's own times count as UTC, since
 * it does not say where it was written.
 */
final class QueryLog
{
    /** Questions that wait for the line with their answer. */
    private const WAITING = 5000;

    /** @var array<string, Query> by number or name: asked, and not told yet what came of it */
    private array $open = [];

    /** @var ?array<string, int> columns of a CSV by what they hold */
    private ?array $columns = null;

    /** @var non-empty-string */
    private string $separator = ',';

    /** @var array<string, ?string> what words in the column of outcomes mean */
    private array $outcomes = [];

    /** Nothing but empty lines came so far. */
    private bool $atHead = true;

    /**
     * What a line finishes.
     *
     * @return list<Query>|null null when it is no line of such a log
     */
    public function line(string $line): ?array
    {
        if ($this->columns !== null) {
            return $this->csv($line);
        }
        if (str_contains($line, 'dnsmasq[')) {
            return $this->dnsmasq($line);
        }
        if (str_contains($line, ' unbound[') || str_contains($line, ']unbound[')) {
            return $this->unbound($line);
        }
        if (str_contains($line, 'query: ') || str_contains($line, ' rpz ')) {
            return $this->bind($line);
        }
        if (trim($line) === '') {
            return [];
        }
        $first = $this->atHead;
        $this->atHead = false;

        return $first && $this->head($line) ? [] : null;
    }

    /** @return list<Query> those that no line told the end of */
    public function rest(): array
    {
        $rest = array_values($this->open);
        $this->open = [];

        return $rest;
    }

    /** @return list<Query> */
    private function ask(string $key, Query $query): array
    {
        $before = isset($this->open[$key]) ? [$this->open[$key]] : [];
        unset($this->open[$key]);
        if (count($this->open) >= self::WAITING) {
            $first = array_key_first($this->open);
            $before[] = $this->open[$first];
            unset($this->open[$first]);
        }
        $this->open[$key] = $query;

        return $before;
    }

    /** @return list<Query> */
    private function end(string $key, string $outcome, ?string $by): array
    {
        $query = $this->open[$key] ?? null;
        if ($query === null) {
            return [];
        }
        unset($this->open[$key]);

        return [
            new Query($query->at, $query->client, $query->name, $query->type, $outcome, $by, $query->hour),
        ];
    }

    /** @return list<Query>|null */
    private function dnsmasq(string $line): ?array
    {
        if (
            preg_match(
                '/^(?:[A-Z][a-z]{2} +\d+ (\d\d):\d\d:\d\d )?.{0,80}?dnsmasq\[\d+\]: (?:(\d+) \S+ )?(.+)$/',
                $line,
                $m,
            ) !== 1
        ) {
            return null;
        }
        $hour = $m[1] === '' ? null : (int) $m[1];
        if (preg_match('/^query\[([\w=]+)\] (\S+) from (\S+)$/', $m[3], $q) === 1) {
            $name = strtolower(rtrim($q[2], '.'));

            return $this->ask(
                $m[2] !== '' ? $m[2] : $name,
                new Query(null, $q[3], $name, $q[1], null, null, $hour),
            );
        }
        if (preg_match('/^(\S+(?: \S+)?) (\S+) is (\S.*)$/', $m[3], $q) !== 1) {
            // Forwarded, started, re-read: nothing is finished by it.
            return [];
        }
        $key = $m[2] !== '' ? $m[2] : strtolower(rtrim($q[2], '.'));
        $refused =
            preg_match('/^(?:0\.0\.0\.0|::|127\.0\.0\.1|NXDOMAIN|NODATA(?:-\w+)?|REFUSED)$/', $q[3]) === 1;
        $from = $q[1];

        return match (true) {
            // Its own lists: the configuration, or a file that it read.
            $refused && ($from === 'config' || $from[0] === '/') => $this->end($key, 'refused', $from),
            str_starts_with($from, 'cached') => $this->end($key, 'cached', null),
            $from === 'reply' && preg_match('/^(?:SERVFAIL|REFUSED)/', $q[3]) === 1 => $this->end(
                $key,
                'failed',
                $q[3],
            ),
            // A chain of other names is told one by one; the first ends the question.
            default => $this->end($key, 'answered', $from === 'reply' ? null : $from),
        };
    }

    /** @return list<Query> */
    private function unbound(string $line): array
    {
        if (
            preg_match(
                '/(?:^\[(\d{9,11})\] ?|(\d\d):\d\d:\d\d.{0,60}? )unbound\[[\d:]+\] (?:info|reply|query): (.+)$/',
                $line,
                $m,
            ) !== 1
        ) {
            return [];
        }
        $at = $m[1] === '' ? null : (int) $m[1];
        $hour = $at !== null ? intdiv($at, 3600) % 24 : ($m[2] === '' ? null : (int) $m[2]);
        // "zone. always_nxdomain 172.22.8.20@51234 name. A IN"; "rpz: applied [zone] name. rpz-nxdomain …" under rpz-log.
        $done = '/^(?:rpz: applied (?:\[(\S+)\] )?)?(\S+) ([\w-]+) ([0-9a-f.:]+)@\d+ (\S+) (\w+) IN$/';
        if (preg_match($done, $m[3], $q) === 1) {
            $name = strtolower(rtrim($q[5], '.'));
            $key = "{$q[4]} {$name} {$q[6]}";
            $zone = strtolower(rtrim($q[2], '.'));
            // A zone that lets other names through refuses only the one that it has a record for.
            $refuses = match (true) {
                str_contains($q[3], 'transparent') => $zone === $name && $q[3] !== 'always_transparent',
                default => preg_match('/^(?:rpz-passthru|inform|nodefault)$/', $q[3]) !== 1,
            };
            $by = $refuses ? ($q[1] !== '' ? $q[1] : $zone) : null;
            $before = $this->open[$key] ?? null;
            $this->open[$key] = new Query(
                $before->at ?? $at,
                $q[4],
                $name,
                $q[6],
                $refuses ? 'refused' : null,
                $by,
                $before->hour ?? $hour,
            );

            return [];
        }
        if (preg_match('/^([0-9a-f.:]+) (\S+) (\w+) IN(?: (\w+) ([\d.]+) (\d) \d+)?$/', $m[3], $q) !== 1) {
            return [];
        }
        $name = strtolower(rtrim($q[2], '.'));
        $key = "{$q[1]} {$name} {$q[3]}";
        $query = new Query($at, $q[1], $name, $q[3], null, null, $hour);
        if (! isset($q[4])) {
            return $this->ask($key, $query);
        }
        $this->open[$key] ??= $query;
        $told = $this->open[$key];

        return $this->end(
            $key,
            match (true) {
                // What a zone of its own did was told in the line before.
                $told->outcome !== null => $told->outcome,
                $q[4] === 'SERVFAIL' => 'failed',
                $q[4] === 'REFUSED' => 'refused',
                ($q[6] ?? '') === '1' => 'cached',
                default => 'answered',
            },
            $told->by,
        );
    }

    /** @return list<Query>|null */
    private function bind(string $line): ?array
    {
        if (
            preg_match(
                '/client (?:@\S+ )?([0-9a-f.:]+)#\d+ \((\S+)\):(?: view \S+:)? (query|rpz)/',
                $line,
                $m,
            ) !== 1
        ) {
            return null;
        }
        [$at, $hour] = self::bindTime($line);
        $name = strtolower(rtrim($m[2], '.'));
        $key = "{$m[1]} {$name}";
        if ($m[3] === 'rpz') {
            $type = preg_match('/ rewrite \S+?\/(\w+)\/IN via (\S+)/', $line, $q) === 1 ? $q[1] : null;
            $query = $this->open[$key] ?? new Query($at, $m[1], $name, $type, null, null, $hour);
            $this->open[$key] = $query;
            $passed = preg_match('/rpz \S+ PASSTHRU/', $line) === 1;

            return $this->end($key, $passed ? 'answered' : 'refused', $q[2] ?? null);
        }
        $type = preg_match('/query: \S+ IN (\w+)/', $line, $q) === 1 ? $q[1] : null;

        return $this->ask($key, new Query($at, $m[1], $name, $type, null, null, $hour));
    }

    /** @return array{?int, ?int} Unix seconds and hour, of "26-Nov-2026 15:00:01.123" */
    private static function bindTime(string $line): array
    {
        if (preg_match('/(\d{2}-[A-Z][a-z]{2}-\d{4} (\d{2}):\d{2}:\d{2})/', $line, $m) !== 1) {
            return [null, preg_match('/ (\d{2}):\d{2}:\d{2} /', $line, $h) === 1 ? (int) $h[1] : null];
        }
        $time = DateTimeImmutable::createFromFormat('d-M-Y H:i:s', $m[1], new DateTimeZone('UTC'));

        return [$time === false ? null : $time->getTimestamp(), (int) $m[2]];
    }

    private function head(string $line): bool
    {
        $this->separator =
            str_contains($line, ';') && ! str_contains($line, ',')
                ? ';'
                : (str_contains($line, "\t")
                    ? "\t"
                    : ',');
        $heads = array_map(
            fn (?string $cell): string => strtolower(trim((string) $cell)),
            str_getcsv($line, $this->separator, '"', ''),
        );
        $known = [
            'at' => ['at', 'time', 'timestamp', 'date', 'when'],
            'client' => ['client', 'from', 'source', 'client_ip', 'device'],
            'name' => ['name', 'domain', 'query', 'qname', 'host', 'question'],
            'type' => ['type', 'qtype', 'query_type'],
            'outcome' => ['outcome', 'status', 'result', 'answer', 'action'],
            'by' => ['by', 'list', 'rule', 'reason', 'upstream'],
        ];
        $columns = [];
        foreach ($known as $what => $words) {
            foreach ($heads as $at => $head) {
                if (in_array($head, $words, true)) {
                    $columns[$what] ??= $at;
                }
            }
        }
        $this->columns = isset($columns['name']) && count($columns) > 1 ? $columns : null;

        return $this->columns !== null;
    }

    /** @return list<Query>|null */
    private function csv(string $line): ?array
    {
        if ($line === '') {
            return [];
        }
        // Without quotes a cell ends at its comma, which is most of any log.
        $cells =
            strpos($line, '"') === false
                ? explode($this->separator, $line)
                : str_getcsv($line, $this->separator, '"', '');
        $columns = $this->columns ?? [];
        $name = trim((string) ($cells[$columns['name'] ?? -1] ?? ''));
        if ($name === '' || strpbrk($name, " \t/") !== false) {
            return trim($line) === '' ? [] : null;
        }
        [$at, $hour] = $this->csvTime(trim((string) ($cells[$columns['at'] ?? -1] ?? '')));
        $client = trim((string) ($cells[$columns['client'] ?? -1] ?? ''));
        $type = trim((string) ($cells[$columns['type'] ?? -1] ?? ''));
        $by = trim((string) ($cells[$columns['by'] ?? -1] ?? ''));

        return [
            new Query(
                $at,
                $client === '' ? null : $client,
                strtolower(rtrim($name, '.')),
                $type === '' ? null : strtoupper($type),
                $this->outcome((string) ($cells[$columns['outcome'] ?? -1] ?? '')),
                $by === '' ? null : $by,
                $hour,
            ),
        ];
    }

    /** Each word is looked at once. */
    private function outcome(string $said): ?string
    {
        if (! array_key_exists($said, $this->outcomes)) {
            $word = strtolower($said);
            $this->outcomes = count($this->outcomes) > 100 ? [] : $this->outcomes;
            $this->outcomes[$said] = match (true) {
                preg_match('/refus|block|deny|denied|filter|nxdomain/', $word) === 1 => 'refused',
                str_contains($word, 'cache') => 'cached',
                preg_match('/fail|error/', $word) === 1 && ! str_contains($word, 'noerror') => 'failed',
                preg_match('/answer|allow|ok|forward|noerror|permit/', $word) === 1 => 'answered',
                default => null,
            };
        }

        return $this->outcomes[$said];
    }

    /** @return array{?int, ?int} */
    private function csvTime(string $said): array
    {
        if (ctype_digit($said) && strlen($said) > 8 && strlen($said) < 12) {
            return [(int) $said, intdiv((int) $said, 3600) % 24];
        }
        if (preg_match('/^(\d{9,11})\.\d+$/D', $said, $m) === 1) {
            return [(int) $m[1], intdiv((int) $m[1], 3600) % 24];
        }
        if (
            preg_match(
                '/^(\d{4}-\d\d-\d\d)[T ](\d\d):(\d\d):(\d\d)(?:\.\d+)?(Z|[+-]\d\d:?\d\d)?$/D',
                $said,
                $m,
            ) === 1
        ) {
            $time = DateTimeImmutable::createFromFormat(
                '!Y-m-d H:i:s P',
                "{$m[1]} {$m[2]}:{$m[3]}:{$m[4]} ".(($m[5] ?? 'Z') === 'Z' ? '+00:00' : $m[5]),
            );

            return [$time === false ? null : $time->getTimestamp(), (int) $m[2]];
        }

        return [null, preg_match('/(?:^|[T ])(\d\d):\d\d(?::\d\d)?/', $said, $m) === 1 ? (int) $m[1] : null];
    }
}
