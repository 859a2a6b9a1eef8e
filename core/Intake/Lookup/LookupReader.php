<?php

declare(strict_types=1);

namespace Burrow\Intake\Lookup;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Net\Address;
use Burrow\Net\Ipv4;

/**
 * What tools say that ask for names: dig (whole, +noall +answer, +short), nslookup of two desk systems, host, getent,
 * and `resolvectl query`.
 */
final class LookupReader implements Reader
{
    private const ANSWERS = 20_000;

    /** Answers to one question stand near each other. */
    private const NEAR = 20;

    private const NAME = '[A-Za-z0-9_*][A-Za-z0-9_.*-]{0,252}';

    public function kind(): string
    {
        return 'lookup';
    }

    public function summary(): string
    {
        return 'dig, nslookup, host, getent hosts, resolvectl query';
    }

    public function sign(): string
    {
        return '/^; <<>> DiG |^;; ->>HEADER<<-|^\S+\.?\s+\d+\s+IN\s+(?:A|AAAA|PTR|CNAME|TXT|MX|NS|SOA|SRV)\s|'.
            '^Server:\s+\S+$|^\S+\s+(?:canonical )?name = \S+$|^\S+ has no (?:A|AAAA|PTR) record|'.
            '^\*\* server can\'t find|^\*\*\* \S+ can\'t find|has (?:IPv6 )?address [0-9a-f.:]+$|'.
            'domain name pointer |^Host \S+ not found: \d|-- link: \S+$|resolve call failed|no servers could be reached/mi';
    }

    public function read(string $text): Reading
    {
        $answers = [];
        $dig =
            preg_match(
                '/^; <<>> DiG |^;; (?:->>HEADER<<-|ANSWER SECTION)/m',
                $text,
            ) === 1;
        if ($dig && preg_match('/^(?:Server|Address):\s/m', $text) !== 1) {
            $answers = self::dig($text);
        } elseif (
            preg_match('/^(?:Server|Addresse?s?):\s|^\*\*\*? |^DNS request timed out/m', $text) === 1 &&
            preg_match('/^Using domain server:/m', $text) !== 1
        ) {
            $answers = self::nslookup($text);
        } else {
            $answers = self::lines($text);
        }
        $answers = array_slice($answers, 0, self::ANSWERS);

        return new Reading(
            $this->kind(),
            $answers,
            $answers === []
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : Findings::of(),
        );
    }

    /** @return list<Answer> */
    private static function dig(string $text): array
    {
        $answers = [];
        // What went wrong on the way stands above the banner that it belongs to.
        $text = (string) preg_replace(
            '/^((?:;; (?:communications error|connection timed out)[^\n]*\n){1,20})\n?(; <<>> DiG [^\n]*\n)/m',
            '$2$1',
            $text,
        );
        foreach (preg_split('/^(?=; <<>> DiG )/m', $text) ?: [] as $part) {
            $rows = [];
            $server = preg_match('/^;; SERVER: ([^#\s(]+)/m', $part, $m) === 1 ? $m[1] : null;
            $server ??= preg_match('/^; <<>> DiG .*?@([0-9a-f.:]+)/mi', $part, $m) === 1 ? $m[1] : null;
            $status = preg_match('/status: ([A-Z]+)/', $part, $m) === 1 ? $m[1] : null;
            [$name, $type] =
                preg_match('/^;([^\s;]+?)\.?\s+(?:IN|CH)\s+([A-Z]+)$/m', $part, $m) === 1
                    ? [$m[1], $m[2]]
                    : [null, null];
            $section = 'ANSWER';
            foreach (Lines::of($part) as $line) {
                if (preg_match('/^;; (\w+) (?:PSEUDO)?SECTION:/', $line, $m) === 1) {
                    $section = $m[1];
                }
                $row = $section === 'ANSWER' ? self::record($line, $status ?? 'NOERROR', $server) : null;
                $row === null || ($rows[] = $row);
            }
            if ($rows === [] && $status !== null) {
                $rows[] = new Answer($name, $type, $status, null, null, $server);
            }
            if (
                $rows === [] &&
                preg_match('/timed out|connection refused|unreachable|no servers could be reached/', $part) === 1
            ) {
                $asked = preg_match('/^; <<>> DiG .*<<>> (?:[@+-]\S* )*(\S+)/m', $part, $q) === 1 ? $q[1] : null;
                $from = preg_match('/error to ([^#\s]+)#/', $part, $q) === 1 ? $q[1] : $server;
                $rows[] = new Answer($asked, null, self::silence($part), null, null, $from);
            }
            foreach ($rows as $row) {
                $answers[] = $row;
            }
        }

        return $answers;
    }

    private static function record(string $line, string $status, ?string $server): ?Answer
    {
        return preg_match(
            '/^([^;\s][^\s]{0,254}?)\.?\s+(\d{1,10})\s+(?:IN|CH)\s+([A-Z0-9]{1,10})\s+(\S.*)$/',
            $line,
            $m,
        ) === 1
            ? new Answer(strtolower($m[1]), $m[3], $status, self::value($m[3], trim($m[4])), (int) $m[2], $server)
            : null;
    }

    /** @return list<Answer> */
    private static function nslookup(string $text): array
    {
        $answers = [];
        $server = $name = null;
        $ofServer = $list = false;
        foreach (Lines::of($text) as $line) {
            if (preg_match('/^Server:\s+(\S+)/', $line, $m) === 1) {
                [$server, $name, $ofServer, $list] = [
                    Address::tryParse($m[1]) === null ? null : $m[1],
                    null,
                    true,
                    false,
                ];
            } elseif (
                preg_match('/^Addresse?s?:\s+([0-9A-Fa-f.:]+)(#\d+)?\s*$/', $line, $m) === 1 &&
                ($ofServer || isset($m[2]))
            ) {
                $server = $m[1];
                $ofServer = false;
            } elseif (preg_match('/^Name:\s+(\S+)/', $line, $m) === 1) {
                $name = strtolower(rtrim($m[1], '.'));
                $list = false;
            } elseif (
                preg_match('/^Addresse?s?:\s+(\S+)\s*$/', $line, $m) === 1 ||
                ($list && preg_match('/^\s+([0-9A-Fa-f.:]+)\s*$/', $line, $m) === 1)
            ) {
                $address = Address::tryParse($m[1]);
                $list = true;
                if ($address !== null) {
                    $answers[] = new Answer(
                        $name,
                        $address instanceof Ipv4 ? 'A' : 'AAAA',
                        'NOERROR',
                        (string) $address,
                        null,
                        $server,
                    );
                }
            } elseif (preg_match('/^(\S+)\s+(?:name|canonical name) = (\S+)$/', $line, $m) === 1) {
                $type = str_contains($line, 'canonical') ? 'CNAME' : 'PTR';
                $answers[] = new Answer(
                    strtolower(rtrim($m[1], '.')),
                    $type,
                    'NOERROR',
                    rtrim($m[2], '.'),
                    null,
                    $server,
                );
            } elseif (preg_match("/^\*\* server can't find ([^\s:]+): (\S+)/", $line, $m) === 1) {
                // Asked for one type after the other: what was answered for the first is not taken back by the second.
                $known = array_filter(
                    array_slice($answers, -self::NEAR),
                    fn (Answer $one): bool => $one->name === strtolower($m[1]) && $one->server === $server,
                );
                $known === [] &&
                    ($answers[] = new Answer(strtolower($m[1]), null, self::status($m[2]), null, null, $server));
            } elseif (preg_match("/^\*\*\* (?:\S+ c|C)an't find ([^\s:]+): (.+)$/", $line, $m) === 1) {
                $answers[] = new Answer(strtolower($m[1]), null, self::status(trim($m[2])), null, null, $server);
            } elseif (
                preg_match(
                    '/^\*{2,3} (?:Request to (\S+) )?timed-?out|(?:timed out|no servers could be reached|connection refused)/i',
                    $line,
                    $m,
                ) === 1
            ) {
                $from = preg_match('/error to ([^#\s]+)#/', $line, $q) === 1 ? $q[1] : null;
                $status = self::silence(strtolower($line));
                $server = $from ?? $server;
                $same = array_filter(
                    array_slice($answers, -self::NEAR),
                    fn (Answer $one): bool => $one->value === null && $one->server === $server,
                );
                $same === [] && ($answers[] = new Answer(null, null, $status, null, null, $server));
            }
        }

        return $answers;
    }

    /** @return list<Answer> host, getent, resolvectl, records alone, values alone */
    private static function lines(string $text): array
    {
        $answers = [];
        $server = null;
        $name = self::NAME;
        // Further answers of resolvectl stand below the first, which alone has the name.
        $asked = '';
        foreach (Lines::of($text) as $line) {
            $line = trim($line);
            $record = self::record($line, 'NOERROR', $server);
            if ($record !== null) {
                $answers[] = $record;
            } elseif (preg_match('/^Address: ([0-9A-Fa-f.:]+)#\d+$/', $line, $m) === 1) {
                $server = $m[1];
            } elseif (preg_match("/^({$name}?)\\.? has (IPv6 )?address ([0-9A-Fa-f.:]+)$/", $line, $m) === 1) {
                $answers[] = new Answer(
                    strtolower($m[1]),
                    $m[2] === '' ? 'A' : 'AAAA',
                    'NOERROR',
                    self::value('A', $m[3]),
                    null,
                    $server,
                );
            } elseif (
                preg_match("/^({$name}?)\\.? (domain name pointer|is an alias for) (\\S+?)\\.?$/", $line, $m) === 1
            ) {
                $answers[] = new Answer(
                    strtolower($m[1]),
                    $m[2][0] === 'd' ? 'PTR' : 'CNAME',
                    'NOERROR',
                    $m[3],
                    null,
                    $server,
                );
            } elseif (preg_match("/^Host ({$name}?)\\.? not found: \\d+\\(([A-Z]+)\\)$/", $line, $m) === 1) {
                $known = array_filter(
                    array_slice($answers, -self::NEAR),
                    fn (Answer $one): bool => $one->name === strtolower($m[1]) && $one->server === $server,
                );
                $known === [] && ($answers[] = new Answer(strtolower($m[1]), null, $m[2], null, null, $server));
            } elseif (preg_match('/^;; (?:connection timed out|communications error)/', $line) === 1) {
                $from = preg_match('/error to ([^#\s]+)#/', $line, $q) === 1 ? $q[1] : $server;
                $answers[] = new Answer(null, null, self::silence($line), null, null, $from);
            } elseif (preg_match('/^(\S+)\s+(canonical )?name = (\S+)$/', $line, $m) === 1) {
                $answers[] = new Answer(
                    strtolower(rtrim($m[1], '.')),
                    $m[2] === '' ? 'PTR' : 'CNAME',
                    'NOERROR',
                    rtrim($m[3], '.'),
                );
            } elseif (preg_match("/^({$name}?)\\.? has no (A|AAAA|PTR) record$/", $line, $m) === 1) {
                $answers[] = new Answer(strtolower($m[1]), $m[2], 'NOERROR', null, null, $server);
            } elseif (
                preg_match("/^(?:({$name}): )?([^\\s()]+) +-- link: /", $line, $m) === 1 &&
                ($m[1] !== '' || $asked !== '')
            ) {
                $asked = $m[1] !== '' ? strtolower($m[1]) : $asked;
                $address = Address::tryParse($m[2]);
                $type = $address === null ? 'PTR' : ($address instanceof Ipv4 ? 'A' : 'AAAA');
                $answers[] = new Answer(
                    $asked,
                    $type,
                    'NOERROR',
                    $address === null ? $m[2] : (string) $address,
                );
            } elseif (preg_match("/^({$name}): resolve call failed: (.*)$/", $line, $m) === 1) {
                $answers[] = new Answer(strtolower($m[1]), null, self::status($m[2]));
            } elseif (
                preg_match("/^([0-9A-Fa-f.:]+)\\s+({$name})(?:\\s|$)/", $line, $m) === 1 &&
                Address::tryParse($m[1]) !== null
            ) {
                // getent hosts; "STREAM", "DGRAM" and "RAW" stand in the second column of getent ahosts.
                $socket = in_array($m[2], ['STREAM', 'DGRAM', 'RAW'], true);
                $address = Address::tryParse($m[1]);
                if (! $socket || $m[2] === 'STREAM') {
                    $words = Lines::words($line);
                    $answers[] = new Answer(
                        $socket ? $words[2] ?? null : strtolower($m[2]),
                        $address instanceof Ipv4 ? 'A' : 'AAAA',
                        'NOERROR',
                        (string) $address,
                    );
                }
            } elseif (Address::tryParse($line) !== null) {
                $address = Address::tryParse($line);
                $answers[] = new Answer(
                    null,
                    $address instanceof Ipv4 ? 'A' : 'AAAA',
                    'NOERROR',
                    (string) $address,
                );
            }
        }

        return $answers;
    }

    private static function value(string $type, string $value): string
    {
        return match ($type) {
            'A', 'AAAA' => (string) (Address::tryParse($value) ?? $value),
            'PTR', 'CNAME', 'NS' => rtrim($value, '.'),
            default => $value,
        };
    }

    private static function silence(string $said): string
    {
        return preg_match('/refused|unreachable/', $said) === 1 ? 'UNREACHABLE' : 'TIMEOUT';
    }

    private static function status(string $said): string
    {
        return match (true) {
            preg_match('/^[A-Z]{4,10}$/D', $said) === 1 => $said,
            preg_match('/non-existent|not found/i', $said) === 1 => 'NXDOMAIN',
            preg_match('/server failed|SERVFAIL/i', $said) === 1 => 'SERVFAIL',
            preg_match('/refused/i', $said) === 1 => 'REFUSED',
            preg_match('/no .*(?:records|such record|appropriate)|no answer|does not have/i', $said) === 1 => 'NOERROR',
            preg_match('/timed? ?out|no response/i', $said) === 1 => 'TIMEOUT',
            default => 'SERVFAIL',
        };
    }
}
