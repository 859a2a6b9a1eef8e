<?php

declare(strict_types=1);

namespace Burrow\Intake\Reach;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Net\Address;

/**
 * Attempts to reach somebody: ping of three desk systems, arping, nc (two kinds), `curl -v` and `curl -I`, and
 * `Test-NetConnection`; one after the other in one text.
 */
final class ReachReader implements Reader
{
    private const ATTEMPTS = 5000;

    public function kind(): string
    {
        return 'reach';
    }

    public function summary(): string
    {
        return 'ping, arping, nc -zv, curl -v, Test-NetConnection';
    }

    public function sign(): string
    {
        return '/^PING \S+|^Pinging \S+|^ping: |^Ping request could not find|^ARPING |^Connection to \S+ \S+ port \[|'.
            '^nc: |^\*\s+Trying [\[0-9a-f]|^\* Could not resolve host|^curl: \(\d+\)|^HTTP\/[\d.]+ \d{3}|'.
            '^(?:ComputerName|TcpTestSucceeded|PingSucceeded)\s+:|^\(UNKNOWN\) \[|packets transmitted, /m';
    }

    public function read(string $text): Reading
    {
        $facts = [];
        foreach (self::attempts($text) as $part) {
            $fact = self::attempt($part);
            if ($fact !== null && count($facts) < self::ATTEMPTS) {
                $facts[] = $fact;
            }
        }

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())) : Findings::of(),
        );
    }

    /** @return list<string> the text of each attempt */
    private static function attempts(string $text): array
    {
        $begins =
            '/^(?=PING |Pinging |ping: |Ping request could not find|ARPING |Connection to \S+ \S+ port|nc: |'.
            'ComputerName\s+:|\(UNKNOWN\) \[|\S+ \[[\d.]+\] \d+ |ssh: connect to host )/m';
        $parts = [];
        foreach (preg_split($begins, $text) ?: [] as $part) {
            // curl has no line that begins it: its first is the address that it tries, or the name not found.
            foreach (
                preg_split(
                    '/(?=^[^\n]*\*\s+(?:Host \S+ was resolved|Could not resolve host)|^\*   Trying [^\n]*\n(?!\*   Trying))/m',
                    $part,
                ) ?:
                [] as $one
            ) {
                trim($one) === '' || ($parts[] = $one);
            }
        }

        return $parts;
    }

    private static function attempt(string $part): ?Reached
    {
        return match (true) {
            preg_match('/^PING |^Pinging |^ping: |^Ping request/', $part) === 1 => self::ping($part),
            str_starts_with($part, 'ARPING ') => self::arping($part),
            str_starts_with($part, 'ComputerName') => self::tested($part),
            preg_match(
                '/^\*\s+(?:Trying|Connected|Could not resolve|Host )|\*\s+Trying |^curl: \(|^HTTP\/[\d.]+ \d{3}/m',
                $part,
            ) === 1 => self::curl($part),
            default => self::line(trim($part)),
        };
    }

    private static function ping(string $part): ?Reached
    {
        if (
            preg_match(
                '/^(?:ping: (?:cannot resolve )?(\S+?): (?:Name or service|Temporary failure|No address|Unknown host|nodename)|Ping request could not find host (\S+?)\.? )/',
                $part,
                $m,
            ) === 1
        ) {
            return new Reached($m[2] ?? '' ?: $m[1], null, null, ReachState::UnknownName);
        }
        if (
            preg_match(
                '/^ping: (?:sendmsg|connect|sendto)?:? ?(?:Network is unreachable|No route to host)/',
                $part,
            ) === 1
        ) {
            return new Reached(null, null, null, ReachState::Unreachable);
        }
        if (preg_match('/^(?:PING|Pinging) (\S+?)(?: ?[(\[]([0-9A-Fa-f.:%\w]+)[)\]])?(?:[\s(]|: )/', $part, $m) !== 1) {
            return null;
        }
        $address = Address::tryParse($m[2] ?? '' ?: $m[1]);
        [$sent, $received, $loss] = [null, null, null];
        if (
            preg_match(
                '/(\d{1,9}) packets transmitted, (\d{1,9})(?: packets)? received,(?: .*?,)? ([\d.]{1,9})% packet loss/',
                $part,
                $s,
            ) === 1
        ) {
            [$sent, $received, $loss] = [(int) $s[1], (int) $s[2], (float) $s[3]];
        } elseif (
            preg_match('/Sent = (\d{1,9}), Received = (\d{1,9}), Lost = \d+ \(([\d.]+)% loss\)/', $part, $s) === 1
        ) {
            [$sent, $received, $loss] = [(int) $s[1], (int) $s[2], (float) $s[3]];
        }
        $average = match (true) {
            preg_match('~min/avg/max[^=]*= [\d.]+/([\d.]+)/~', $part, $t) === 1 => (float) $t[1],
            preg_match('/Average = (\d+)ms/', $part, $t) === 1 => (float) $t[1],
            default => null,
        };
        // The desk system's ping counts "unreachable" from itself as received.
        $unreachable =
            preg_match(
                '/host unreachable|net(?:work)? unreachable|Network is unreachable|No route to host/i',
                $part,
            ) === 1;
        $answered =
            preg_match('/bytes from |^Reply from [0-9A-Fa-f.:]+: (?:bytes|time)/m', $part) === 1 ||
            ($received > 0 && ! $unreachable);

        return new Reached(
            $m[1],
            $address === null ? null : (string) $address,
            null,
            $answered ? ReachState::Open : ($unreachable ? ReachState::Unreachable : ReachState::Silent),
            $sent,
            $received,
            $loss,
            $average,
        );
    }

    private static function arping(string $part): ?Reached
    {
        $address = preg_match('/^ARPING (\S{7,15})/', $part, $m) === 1 ? Address::standard($m[1]) : null;
        if ($address === null) {
            return null;
        }
        $sent =
            preg_match('/Sent (\d{1,9}) probe/', $part, $s) === 1 ||
            preg_match('/(\d{1,9}) packets transmitted/', $part, $s) === 1
                ? (int) $s[1]
                : null;
        $received =
            preg_match('/Received (\d{1,9}) response/', $part, $s) === 1 ||
            preg_match('/(\d{1,9}) packets received/', $part, $s) === 1
                ? (int) $s[1]
                : null;
        preg_match_all('/\]\s+([\d.]{1,12})ms/', $part, $times);
        $times = array_map(floatval(...), $times[1]);

        return new Reached(
            $address,
            $address,
            null,
            $received > 0 || $times !== [] ? ReachState::Open : ReachState::Silent,
            $sent,
            $received,
            $sent > 0 && $received !== null ? max(0.0, round(100 * (1 - $received / $sent), 3)) : null,
            $times === [] ? null : round(array_sum($times) / count($times), 3),
        );
    }

    private static function tested(string $part): Reached
    {
        $value = fn (string $name): string => preg_match("/^{$name}\\s+: *(.*)$/m", $part, $m) === 1
            ? trim($m[1])
            : '';
        $port = $value('RemotePort');
        $tcp = $value('TcpTestSucceeded');
        $average =
            preg_match('/^(\d{1,6}) ms$/', $value('PingReplyDetails \(RTT\)'), $m) === 1 ? (float) $m[1] : null;
        $address = Address::tryParse($value('RemoteAddress'));
        $open = ($tcp !== '' ? $tcp : $value('PingSucceeded')) === 'True';

        return new Reached(
            $value('ComputerName') ?: null,
            $address === null ? null : (string) $address,
            ctype_digit($port) && (int) $port < 65536 ? (int) $port : null,
            match (true) {
                $address === null => ReachState::UnknownName,
                $open => ReachState::Open,
                // It does not say which; a machine that answers a ping and takes no connection refuses.
                $tcp !== '' && $value('PingSucceeded') === 'True' => ReachState::Refused,
                default => ReachState::Silent,
            },
            averageMs: $average,
        );
    }

    private static function curl(string $part): ?Reached
    {
        $host = preg_match('/^(?:> )?Host: ([^\s:]+|\[[^\]]+\])(?::\d+)?\s*$/mi', $part, $m) === 1 ? $m[1] : null;
        if (preg_match('/Could not resolve host: (\S+)/', $part, $m) === 1) {
            return new Reached(rtrim($m[1], ';'), null, null, ReachState::UnknownName);
        }
        $address =
            preg_match('/Trying \[?([0-9A-Fa-f.:]+?)\]?:(\d{1,5})\.\.\./', $part, $m) === 1
                ? Address::tryParse($m[1])
                : null;
        $port = isset($m[2]) ? (int) $m[2] : null;
        if (preg_match('/Connected to (\S+) \(([0-9A-Fa-f.:]+)\) port (\d{1,5})/', $part, $m) === 1) {
            [$host, $address, $port] = [$m[1], Address::tryParse($m[2]), (int) $m[3]];
        } elseif (preg_match('/Failed to connect to (\S+) port (\d{1,5})/', $part, $m) === 1) {
            [$host, $port] = [$m[1], (int) $m[2]];
        }
        preg_match_all('~^(?:< )?HTTP/[\d.]+ (\d{3})~m', $part, $codes);
        $status = $codes[1] === [] ? null : (int) $codes[1][count($codes[1]) - 1];
        $state = match (true) {
            $status !== null,
            preg_match('/^\* Connected to |^\* +Established connection/m', $part) === 1 => ReachState::Open,
            preg_match(
                '/Connection refused|\(7\) Failed to connect .*(?:Connection refused|Could\s?n.t connect)/',
                $part,
            ) === 1 => ReachState::Refused,
            preg_match('/No route to host|Network is unreachable|Host is unreachable/', $part) === 1 => ReachState::Unreachable,
            preg_match('/timed out|\(28\)/i', $part) === 1 => ReachState::Silent,
            default => null,
        };

        return $state === null
            ? null
            : new Reached(
                $host ?? ($address === null ? null : (string) $address),
                $address === null ? null : (string) $address,
                $port,
                $state,
                httpStatus: $status,
            );
    }

    /** nc of two kinds, and ssh that gets no connection. */
    private static function line(string $part): ?Reached
    {
        $line = strtok($part, "\n") ?: '';
        $address = fn (string $text): ?string => ($one = Address::tryParse($text)) === null ? null : (string) $one;
        if (
            preg_match(
                '/^Connection to (\S+?)(?: \(([0-9A-Fa-f.:]+)\))? (?:port )?(\d{1,5}) port \[.*\] succeeded/',
                $line,
                $m,
            ) === 1
        ) {
            return new Reached($m[1], $address($m[2] ?: $m[1]), (int) $m[3], ReachState::Open);
        }
        if (
            preg_match(
                '/^(?:nc: connect to|ssh: connect to host) (\S+?)(?: \(([0-9A-Fa-f.:]+)\))? port (\d{1,5})(?: \((?:tcp|udp)\))?(?: failed| timed out)?: (.+)$/',
                $line,
                $m,
            ) === 1
        ) {
            return new Reached($m[1], $address($m[2] ?: $m[1]), (int) $m[3], self::refusal($m[4]));
        }
        if (preg_match('/^nc: getaddrinfo(?: for host "([^"]+)")?.*: /', $line, $m) === 1) {
            return new Reached($m[1] ?? '' ?: null, null, null, ReachState::UnknownName);
        }

        // "wren [172.22.8.16] 22 (ssh) open"
        return preg_match('/^(\S+) \[([0-9.]+)\] (\d{1,5})(?: \([^)]*\))? (?:: )?(.+)$/', $line, $m) === 1
            ? new Reached(
                $m[1] === '(UNKNOWN)' ? $m[2] : $m[1],
                $address($m[2]),
                (int) $m[3],
                $m[4] === 'open' ? ReachState::Open : self::refusal($m[4]),
            )
            : null;
    }

    private static function refusal(string $said): ReachState
    {
        return match (true) {
            preg_match('/refused/i', $said) === 1 => ReachState::Refused,
            preg_match('/no route|unreachable/i', $said) === 1 => ReachState::Unreachable,
            default => ReachState::Silent,
        };
    }
}
