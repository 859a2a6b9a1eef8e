<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Address;

/** `ufw status`, verbose and numbered (ufw(8)): what may come in, as it was typed. */
final class UfwRules
{
    public const SIGN = '/^Status: (?:active|inactive)$|^To +Action +From$/m';

    private const HOOKS = ['incoming' => 'input', 'outgoing' => 'output', 'routed' => 'forward'];

    private const ROW = '/^(?:\[ ?\d+\] )?(.{1,60}?) {1,}(ALLOW|DENY|REJECT|LIMIT)(?: (IN|OUT|FWD))? +(.{1,80}?)(?: +# .*| +\(log(?:-all)?\))?$/';

    /** @return list<FirewallRule> */
    public static function read(string $text, UnreadLines $unread): array
    {
        $facts = [];
        $policies = [];
        foreach (Lines::of($text) as $number => $line) {
            if (
                preg_match(
                    '/^Default: (\w+) \(incoming\), (\w+) \(outgoing\)(?:, (\w+) \(routed\))?/',
                    $line,
                    $m,
                ) === 1
            ) {
                $policies = array_map(self::action(...), [
                    'incoming' => $m[1],
                    'outgoing' => $m[2],
                    'routed' => $m[3] ?? '',
                ]);
            } elseif (
                trim($line) === '' ||
                preg_match('/^\s*(?:Status|Logging|New profiles|To +Action|-- +-|WARN|Firewall)/', $line) ===
                    1
            ) {
                continue;
            } elseif (preg_match(self::ROW, trim($line), $m) === 1) {
                $chain = match ($m[3]) {
                    'OUT' => 'outgoing',
                    'FWD' => 'routed',
                    default => 'incoming',
                };
                $parts = self::row($m[1], $m[4]);
                $parts->action = self::action($m[2]);
                $facts = [
                    ...$facts,
                    ...$parts->rules(
                        $chain,
                        $policies[$chain] ?? null,
                        str_contains($line, '(v6)') ? 'ip6' : 'ip',
                        null,
                        self::HOOKS[$chain],
                    ),
                ];
            } else {
                $unread->add($number, 'no rule stands in it');
            }
        }

        return $facts;
    }

    private static function action(string $word): ?string
    {
        return match (strtolower($word)) {
            'allow' => 'accept',
            'deny' => 'drop',
            'reject' => 'reject',
            'limit' => 'limit',
            default => null,
        };
    }

    /** "80,443/tcp (v6)", "172.22.8.12 53/udp on eth0", "Anywhere", "remote login" by a profile's name. */
    private static function row(string $to, string $from): RuleParts
    {
        $parts = new RuleParts();
        $to = str_replace(' (v6)', '', $to);
        if (preg_match('/ on (\S+)$/', $to, $m) === 1) {
            $parts->interface = $m[1];
            $to = substr($to, 0, -strlen($m[0]));
        }
        foreach (Lines::words($to) as $word) {
            if (
                preg_match('~^([\w:,-]+?)(?:/(tcp|udp))?$~D', $word, $m) === 1 &&
                preg_match('/^\d/', $word) === 1
            ) {
                $parts->protocol = $m[2] ?? null;
                foreach (explode(',', $m[1]) as $port) {
                    $parts->addPort($port);
                }
            } elseif (
                preg_match('~^([0-9a-f.:]+)(?:/\d{1,3})?$~Di', $word, $m) === 1 &&
                Address::standard($m[1]) !== null
            ) {
                $parts->to = $word;
            }
        }
        // A profile is told by its name.
        $parts->to ??= $parts->ports === [] && ! str_starts_with($to, 'Anywhere') ? $to : null;
        $source = Lines::words(str_replace(' (v6)', '', $from))[0] ?? '';
        $source === 'Anywhere' || $source === '' || ($parts->sources[] = $source);

        return $parts;
    }

    private function __construct()
    {
    }
}
