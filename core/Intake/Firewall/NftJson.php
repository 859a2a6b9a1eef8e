<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

/** `nft -j list ruleset` (libnftables-json(5)). */
final class NftJson
{
    public const SIGN = '/^\s*\{\s*"nftables" *:/';

    /** @var array<string, ?string> policies by "family table chain" */
    private array $policies = [];

    /** @var array<string, ?string> hooks by "family table chain" */
    private array $hooks = [];

    /** @var array<string, list<mixed>> elements by "family table set" */
    private array $sets = [];

    private function __construct()
    {
    }

    /** @return list<FirewallRule> */
    public static function read(string $text): array
    {
        return (new self())->rules($text);
    }

    /** @return list<FirewallRule> */
    private function rules(string $text): array
    {
        $all = json_decode($text, true, 64);
        $all = is_array($all) && is_array($all['nftables'] ?? null) ? $all['nftables'] : [];
        $waiting = [];
        foreach ($all as $one) {
            foreach (is_array($one) ? $one : [] as $what => $is) {
                if (! is_array($is)) {
                    continue;
                }
                $of = self::word($is['family'] ?? null).' '.self::word($is['table'] ?? null);
                $name = self::word($is['name'] ?? null);
                if ($what === 'chain') {
                    $this->policies["{$of} {$name}"] = is_string($is['policy'] ?? null)
                        ? $is['policy']
                        : null;
                    $this->hooks["{$of} {$name}"] = is_string($is['hook'] ?? null) ? $is['hook'] : null;
                } elseif ($what === 'set' || $what === 'map') {
                    $this->sets["{$of} {$name}"] = is_array($is['elem'] ?? null)
                        ? array_values($is['elem'])
                        : [];
                } elseif ($what === 'rule' && is_array($is['expr'] ?? null)) {
                    $waiting[] = [$of, self::word($is['chain'] ?? null), array_values($is['expr'])];
                }
            }
        }
        $facts = [];
        foreach ($waiting as [$of, $chain, $said]) {
            [$family, $table] = explode(' ', $of, 2);
            $parts = new RuleParts();
            foreach ($said as $statement) {
                foreach (is_array($statement) ? $statement : [] as $what => $is) {
                    $this->statement($parts, (string) $what, $is, $of);
                }
            }
            $facts = [
                ...$facts,
                ...$parts->rules(
                    $chain,
                    $this->policies["{$of} {$chain}"] ?? null,
                    $family,
                    $table,
                    $this->hooks["{$of} {$chain}"] ?? null,
                ),
            ];
        }

        return $facts;
    }

    private function statement(RuleParts $parts, string $what, mixed $is, string $of): void
    {
        if ($what === 'match' && is_array($is)) {
            $this->match($parts, $is, $of);
        } elseif ($what === 'vmap' && is_array($is)) {
            $this->map($parts, $is);
        } elseif (in_array($what, ['accept', 'drop', 'reject', 'return', 'masquerade', 'queue'], true)) {
            $parts->action = $what;
        } elseif (in_array($what, ['jump', 'goto'], true) && is_array($is)) {
            $parts->action = "{$what} ".self::word($is['target'] ?? null);
        } elseif (in_array($what, ['dnat', 'snat', 'redirect'], true)) {
            $parts->action = $what;
            $to = is_array($is) ? $is : [];
            $port = is_int($to['port'] ?? null) ? ":{$to['port']}" : '';
            $parts->to = self::word($to['addr'] ?? null).$port;
        } elseif ($what === 'log' || $what === 'counter') {
            $parts->action ??= $what === 'log' ? 'log' : 'count';
        } elseif ($what !== 'comment') {
            $parts->more = true;
        }
    }

    /** @param  array<mixed>  $is */
    private function match(RuleParts $parts, array $is, string $of): void
    {
        $left = is_array($is['left'] ?? null) ? $is['left'] : [];
        $not = ($is['op'] ?? '') === '!=' ? '!' : '';
        $values = $this->values($is['right'] ?? null, $of);
        $payload = is_array($left['payload'] ?? null) ? $left['payload'] : [];
        $field = self::word($payload['field'] ?? null);
        $key = is_array($left['meta'] ?? null) ? self::word($left['meta']['key'] ?? null) : '';
        $state = is_array($left['ct'] ?? null) ? self::word($left['ct']['key'] ?? null) : '';
        if (in_array($payload['protocol'] ?? null, ['icmp', 'icmpv6'], true)) {
            $parts->protocol ??= self::word($payload['protocol']);
        } elseif ($field === 'dport') {
            $parts->protocol = self::word($payload['protocol'] ?? null);
            foreach ($not === '' ? $values : [] as $port) {
                $parts->addPort($port);
            }
            $parts->more = $parts->more || $not !== '';
        } elseif ($field === 'saddr') {
            $parts->sources = array_map(fn (string $one): string => $not.$one, $values);
        } elseif ($field === 'daddr') {
            $parts->to ??= $not.implode(', ', $values);
        } elseif (
            in_array($key, ['l4proto', 'nfproto'], true) ||
            in_array($field, ['protocol', 'nexthdr'], true)
        ) {
            $parts->protocol ??= $key !== 'nfproto' && count($values) === 1 ? $values[0] : null;
        } elseif (in_array($key, ['iif', 'iifname'], true)) {
            $parts->interface = $not.implode(', ', $values);
        } elseif ($state === 'state') {
            $parts->state = implode(',', $values);
        } else {
            $parts->more = true;
        }
    }

    /** @param  array<mixed>  $is */
    private function map(RuleParts $parts, array $is): void
    {
        $key = is_array($is['key'] ?? null) ? $is['key'] : [];
        $payload = is_array($key['payload'] ?? null) ? $key['payload'] : [];
        $data =
            is_array($is['data'] ?? null) && is_array($is['data']['set'] ?? null) ? $is['data']['set'] : [];
        foreach ($data as $pair) {
            $action = is_array($pair) && is_array($pair[1] ?? null) ? (string) array_key_first($pair[1]) : '';
            $on = is_array($pair) ? $this->values($pair[0] ?? null, '')[0] ?? '' : '';
            if ($action === '') {
                continue;
            }
            if (isset($key['ct'])) {
                $parts->perState[$on] = $action;
            } else {
                $parts->protocol = self::word($payload['protocol'] ?? null);
                $range = RuleParts::port($parts->protocol, $on);
                $range === null || ($parts->perPort[] = [$range[0], $range[1], $action]);
            }
        }
    }

    /** @return list<string> values of one, of a set written out, or of one by name */
    private function values(mixed $said, string $of): array
    {
        if (
            is_string($said) &&
            str_starts_with($said, '@') &&
            isset($this->sets[$of.' '.substr($said, 1)])
        ) {
            return array_merge(
                ...array_map(
                    fn (mixed $one): array => $this->values($one, $of),
                    $this->sets[$of.' '.substr($said, 1)],
                ),
            );
        }
        if (! is_array($said)) {
            return is_scalar($said) ? [(string) $said] : [];
        }
        if (is_array($said['set'] ?? null)) {
            return array_merge(
                ...array_map(fn (mixed $one): array => $this->values($one, $of), array_values($said['set'])),
            );
        }
        if (is_array($said['elem'] ?? null)) {
            return $this->values($said['elem']['val'] ?? null, $of);
        }
        if (is_array($said['prefix'] ?? null)) {
            return [
                self::word($said['prefix']['addr'] ?? null).
                '/'.
                self::word($said['prefix']['len'] ?? null),
            ];
        }
        if (is_array($said['range'] ?? null)) {
            return [implode('-', array_map(self::word(...), $said['range']))];
        }

        return array_is_list($said)
            ? array_merge(...array_map(fn (mixed $one): array => $this->values($one, $of), $said))
            : [];
    }

    private static function word(mixed $said): string
    {
        return is_scalar($said) ? (string) $said : '';
    }
}
