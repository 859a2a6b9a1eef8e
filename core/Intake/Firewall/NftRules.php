<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

use Burrow\Intake\UnreadLines;

/** `nft list ruleset` (nft(8)): tables, chains with their policy, sets by name, and rules. */
final class NftRules
{
    public const SIGN = '/^table (?:ip|ip6|inet|arp|bridge|netdev) \S+ \{/m';

    /** Words that ask something of a packet; none comes after it was decided about. */
    private const MATCHES = '/^(?:[sd]port|[sd]addr|[io]if|[io]ifname|ct|meta|tcp|udp|th|ip6?)$/D';

    /** Words that ask what no field of a rule tells. */
    private const MORE = '/^(?:sport|mark|limit|fib|hour|day|time|skuid|skgid|length|rt|ether|vlan|quota|oif|oifname|numgen|socket|osf|pkttype|dscp|ttl|hoplimit|ecn)$/D';

    /** States under -n (linux/netfilter/nf_conntrack_common.h). */
    private const STATES = [
        '0x40' => 'untracked',
        '0x1' => 'invalid',
        '0x2' => 'established',
        '0x4' => 'related',
        '0x8' => 'new',
    ];

    /** @var array<string, list<string>> elements of named sets, by "family table name" */
    private array $sets = [];

    private function __construct(private readonly UnreadLines $unread)
    {
    }

    /** @return list<FirewallRule> */
    public static function read(string $text, UnreadLines $unread): array
    {
        return (new self($unread))->rules($text);
    }

    /** @return list<FirewallRule> */
    private function rules(string $text): array
    {
        $facts = [];
        $waiting = [];
        [$family, $table, $chain, $set, $policy, $hook] = [null, null, null, null, null, null];
        foreach (self::statements($text) as [$number, $line]) {
            if (preg_match('/^table (\w+) (\S+) \{$/D', $line, $m) === 1) {
                [$family, $table, $chain, $set] = [$m[1], $m[2], null, null];
            } elseif (preg_match('/^chain (\S+) \{$/D', $line, $m) === 1) {
                [$chain, $set, $policy, $hook] = [$m[1], null, null, null];
            } elseif (preg_match('/^(?:set|map) (\S+) \{$/D', $line, $m) === 1) {
                [$set, $chain] = ["{$family} {$table} {$m[1]}", null];
            } elseif ($line === '}') {
                [$chain, $set] = [null, null];
            } elseif ($set !== null) {
                if (preg_match('/^elements = \{(.*)\}$/sD', $line, $m) === 1) {
                    $this->sets[$set] = self::elements($m[1]);
                }
            } elseif ($chain !== null && preg_match('/^type \w+ hook (\w+)/', $line, $m) === 1) {
                $hook = $m[1];
                $policy = preg_match('/policy (\w+)/', $line, $m) === 1 ? $m[1] : 'accept';
            } elseif ($chain !== null && $family !== null) {
                $waiting[] = [$number, $line, $family, (string) $table, $chain, $policy, $hook];
            }
        }
        // A set may stand below the rule that asks it.
        foreach ($waiting as [$number, $line, $of, $in, $where, $does, $called]) {
            $rules = $this->rule($line, "{$of} {$in}")?->rules($where, $does, $of, $in, $called);
            $rules === null
                ? $this->unread->add($number, 'the rule does nothing that is known')
                : ($facts = [...$facts, ...$rules]);
        }

        return $facts;
    }

    /**
     * Lines without comments, joined while a brace is open within one.
     *
     * @return iterable<array{int, string}>
     */
    private static function statements(string $text): iterable
    {
        $open = '';
        $from = 0;
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim((string) preg_replace('/^\s*#.*$|\s+# handle \d+$/', '', $line));
            if ($line === '') {
                continue;
            }
            $from = $open === '' ? $index + 1 : $from;
            $open = $open === '' ? $line : "{$open} {$line}";
            $block =
                preg_match(
                    '/^(?:table|chain|set|map|flowtable|ct \w+|counter|quota|limit|secmark|synproxy)\b[^{]*\{$/D',
                    $open,
                ) === 1;
            if ($block || substr_count($open, '{') <= substr_count($open, '}') || strlen($open) > 65536) {
                yield [$from, $open];
                $open = '';
            }
        }
    }

    /** @return list<string> */
    private static function elements(string $list): array
    {
        $elements = [];
        foreach (explode(',', $list) as $one) {
            // An element may carry a counter, a time it lasts, or a comment.
            $word = preg_split('/\s+/', trim($one))[0] ?? '';
            $word === '' || ($elements[] = $word);
        }

        return $elements;
    }

    private function rule(string $line, string $of): ?RuleParts
    {
        $parts = new RuleParts();
        preg_match_all('/"[^"]{0,200}"|\{[^{}]*\}|[^\s{}"]+/', $line, $m);
        $words = $m[0];
        $decided = false;
        for ($i = 0, $count = count($words); $i < $count; $i++) {
            $next = $words[$i + 1] ?? '';
            $negated = $next === '!=';
            if ($decided && preg_match(self::MATCHES, $words[$i]) === 1) {
                // Two rules on one line: it was joined by somebody who did not know.
                return null;
            }
            $value = $negated ? $words[$i + 2] ?? '' : $next;
            // "icmp type" and "tcp flags" stand under their protocol, "ct state" and "meta l4proto" under their words.
            $parts->more =
                $parts->more ||
                preg_match(self::MORE, $words[$i]) === 1 ||
                ($words[$i] === 'flags' && $next !== '') ||
                ($words[$i] === 'dport' && $negated);
            switch ($words[$i]) {
                case 'tcp':
                case 'udp':
                case 'sctp':
                case 'th':
                    if ($words[$i] !== 'th' && preg_match('/^(?:dport|sport|flags)$/D', $next) === 1) {
                        $parts->protocol = $words[$i];
                    }
                    break;
                case 'dport':
                    if ($value === 'vmap') {
                        self::map($parts, $words[$i + 2] ?? '');
                    } elseif (! $negated) {
                        foreach ($this->values($value, $of) as $port) {
                            $parts->addPort($port);
                        }
                    }
                    break;
                case 'l4proto':
                case 'protocol':
                case 'nexthdr':
                    $many = $this->values($value, $of);
                    $parts->protocol ??= count($many) === 1 ? $many[0] : null;
                    break;
                case 'icmp':
                case 'icmpv6':
                    $parts->protocol ??= $words[$i];
                    break;
                case 'saddr':
                    foreach ($this->values($value, $of) as $source) {
                        $parts->sources[] = ($negated ? '!' : '').$source;
                    }
                    break;
                case 'daddr':
                    $parts->to ??= ($negated ? '!' : '').implode(', ', $this->values($value, $of));
                    break;
                case 'iif':
                case 'iifname':
                    $parts->interface =
                        ($negated ? '!' : '').
                        implode(
                            ', ',
                            array_map(fn (string $one): string => trim($one, '"'), $this->values($value, $of)),
                        );
                    break;
                case 'state':
                    if ($value === 'vmap') {
                        $parts->perState = self::pairs($words[$i + 2] ?? '');
                    } else {
                        $parts->state = strtr(implode(',', $this->values($value, $of)), self::STATES);
                    }
                    break;
                case 'jump':
                case 'goto':
                    $parts->action = "{$words[$i]} {$next}";
                    break;
                case 'accept':
                case 'drop':
                case 'reject':
                case 'return':
                case 'masquerade':
                case 'queue':
                    $parts->action = $words[$i];
                    $decided = true;
                    break;
                case 'dnat':
                case 'snat':
                case 'redirect':
                    $parts->action = $words[$i];
                    $at = array_search('to', array_slice($words, $i, 4, true), true);
                    $parts->to = $at === false ? $parts->to : $words[$at + 1] ?? null;
                    break;
                case 'log':
                case 'counter':
                    $parts->action ??= $words[$i] === 'log' ? 'log' : 'count';
                    break;
                case 'comment':
                    $i++;
                    break;
            }
        }

        return $parts->isIdle() ? null : $parts;
    }

    private static function map(RuleParts $parts, string $map): void
    {
        foreach (self::pairs($map) as $port => $action) {
            $range = RuleParts::port($parts->protocol, (string) $port);
            $range === null || ($parts->perPort[] = [$range[0], $range[1], $action]);
        }
    }

    /**
     * "{ 22 : accept, 80 : drop }"
     *
     * @return array<string, string>
     */
    private static function pairs(string $map): array
    {
        $pairs = [];
        foreach (explode(',', trim($map, '{} ')) as $pair) {
            [$key, $action] = [...array_map(trim(...), explode(':', $pair, 2)), ''];
            if ($key !== '' && $action !== '') {
                $pairs[$key] = $action;
            }
        }

        return $pairs;
    }

    /** @return list<string> the values of "22", "{ 22, 80 }" or "@name" */
    private function values(string $said, string $of): array
    {
        return match (true) {
            $said === '' => [],
            $said[0] === '{' => self::elements(trim($said, '{} ')),
            $said[0] === '@' => $this->sets[$of.' '.substr($said, 1)] ?? [$said],
            // A list without braces, as states are written: "established,related".
            str_contains($said, ',') => explode(',', $said),
            default => [$said],
        };
    }
}
