<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

/**
 * One line of a list of names, in any of the forms that lists are kept in: hosts(5), plain names, the domain rules of
 * ad blockers ("||name^"), dnsmasq(8) address, server and local, unbound.conf(5) local-zone and local-data, and zones of
 * response policies.
 */
final class ListLine
{
    private const USUAL = '/^(?:(?:0\.0\.0\.0|127\.0\.0\.1)[ \t]+)?((?=.{3,253}$)(?:[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9_])?\.)+[a-z](?:[a-z0-9-]{0,61}[a-z0-9])?)$/D';

    /** Letters of a name in lower case that need no more work. */
    private const PLAIN = 'abcdefghijklmnopqrstuvwxyz0123456789-._';

    /**
     * The names of a line as "name", "*name" for it and all below, with "@" in front for an exception; empty for a
     * comment; null when it cannot be read.
     *
     * @return ?list<string>
     */
    public static function names(string $line): ?array
    {
        // Most lines are one plain name, or an address and one: a single match settles them.
        if (preg_match(self::USUAL, $line, $usual) === 1) {
            return self::isOwn($usual[1]) ? [] : [$usual[1]];
        }
        $line = trim($line);
        if ($line === '' || $line[0] === '#' || $line[0] === '!' || $line[0] === ';') {
            return [];
        }
        // ".name" is for all below it, and numbers alone are of a zone's head.
        if ($line[0] !== '.' && ! ctype_digit($line) && strspn($line, self::PLAIN) === strlen($line)) {
            return self::one($line, false);
        }

        // A byte of zero is in no text, and what asks the system for an address throws on it.
        return str_contains($line, "\0") ? null : self::other($line);
    }

    /** @return ?list<string> */
    private static function one(string $said, bool $under): ?array
    {
        if (self::isOwn($said)) {
            return [];
        }
        $name = self::normal($said);

        return $name === null ? null : [$under ? "*{$name}" : $name];
    }

    /** @return ?list<string> */
    private static function other(string $line): ?array
    {
        if (str_starts_with($line, '||') || str_starts_with($line, '@@||')) {
            return self::blocker($line);
        }
        if ($line[0] === '[' && preg_match('/^\[.{0,80}\]$/', $line) === 1) {
            return [];
        }
        if (preg_match('~^(?:address|server|local)=/(.{1,2000})/[^/]{0,80}$~', $line, $m) === 1) {
            return self::all(explode('/', $m[1]), true);
        }
        if (preg_match('/^local-zone:\s*"?([^\s"]{1,260})"?\s+(\w+)/', $line, $m) === 1) {
            $named = self::one($m[1], true);

            return $named === null || ($m[2] !== 'always_transparent' && $m[2] !== 'transparent')
                ? $named
                : array_map(fn (string $one): string => "@{$one}", $named);
        }
        if (
            preg_match(
                '/^local-data:\s*[\'"]([^\s]{1,260})\s+(?:\d+\s+)?(?:IN\s+)?(?:A|AAAA|CNAME)\s/i',
                $line,
                $m,
            ) === 1
        ) {
            return self::one(rtrim($m[1], '.'), false);
        }
        if (preg_match('/^(?:server:|\$TTL|\$ORIGIN|@\s|\)|\(|local-data-ptr:)/i', $line) === 1) {
            return [];
        }
        // A record of a zone of response policies: what it is answered with says what is done.
        if (
            preg_match(
                '/^(\S{1,260})\s+(?:\d+[smhdw]?\s+)?(?:IN\s+)?(CNAME|A|AAAA|SOA|NS|TXT)\s+(\S+)/i',
                $line,
                $m,
            ) === 1
        ) {
            $kind = strtoupper($m[2]);
            if ($kind === 'SOA' || $kind === 'NS' || $kind === 'TXT') {
                return [];
            }
            $under = str_starts_with($m[1], '*.');
            $named = self::one(rtrim($under ? substr($m[1], 2) : $m[1], '.'), $under);

            return $named === null || stripos($m[3], 'rpz-passthru') !== 0
                ? $named
                : array_map(fn (string $one): string => "@{$one}", $named);
        }
        // Lines of a zone's head between its brackets.
        if (preg_match('/^(?:\d+[smhdw]?\s*(?:;.*)?|NS\s+\S+|IN\s+NS\s+\S+)\)?$/i', $line) === 1) {
            return [];
        }

        return self::hosts($line);
    }

    /**
     * "||name^", with options behind a dollar sign; what has a path or is no name at all is not for a resolver.
     *
     * @return ?list<string>
     */
    private static function blocker(string $line): ?array
    {
        if (preg_match('/^(@@)?\|\|([^\/^$|*?=&]{1,260})\^?\|?(?:\$[\w~,=|.-]{1,200})?$/', $line, $m) !== 1) {
            return null;
        }
        $named = self::one($m[2], true);

        return $named === null
            ? null
            : array_map(fn (string $one): string => "{$m[1]}" === '' ? $one : "@{$one}", $named);
    }

    /** @return ?list<string> "0.0.0.0 one two # words", "one", "*.one" */
    private static function hosts(string $line): ?array
    {
        $words = preg_split('/\s+/', trim((string) preg_replace('/\s#.*$/', '', $line))) ?: [];
        if (count($words) > 1) {
            if (@inet_pton($words[0]) === false) {
                return null;
            }

            return self::all(array_slice($words, 1), false);
        }
        $under = str_starts_with($words[0], '*.') || str_starts_with($words[0], '.');

        return self::one($under ? ltrim($words[0], '*.') : $words[0], $under);
    }

    /**
     * @param  list<string>  $said
     * @return ?list<string>
     */
    private static function all(array $said, bool $under): ?array
    {
        $names = [];
        foreach ($said as $one) {
            $named = self::one($one, $under);
            if ($named === null) {
                return null;
            }
            $names = [...$names, ...$named];
        }

        return $names;
    }

    /** In lower case, as A-labels, without the dot at its end; null for what is no name of at least two labels. */
    public static function normal(string $said): ?string
    {
        $name = rtrim($said, '.');
        if (strspn($name, self::PLAIN) !== strlen($name)) {
            $name = strtolower($name);
            if (preg_match('/[^\x20-\x7e]/', $name) === 1) {
                $ascii = @idn_to_ascii($name, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
                if ($ascii === false) {
                    return null;
                }
                $name = $ascii;
            }
            if (strspn($name, self::PLAIN) !== strlen($name)) {
                return null;
            }
        }
        if (
            strlen($name) > 253 ||
            ! str_contains($name, '.') ||
            $name[0] === '.' ||
            str_contains($name, '..')
        ) {
            return null;
        }
        // An address is no name, and a label has at most 63 letters (RFC 1035 2.3.4) and no hyphen at its ends.
        $last = strrpos($name, '.');
        if (ctype_digit(substr($name, (int) $last + 1))) {
            return null;
        }

        return preg_match('/(?:^|\.)(?:-|[^.]{64}|[^.]*-(?:\.|$))/', $name) === 1 ? null : $name;
    }

    /** One that hosts files hold for the machine itself. */
    private static function isOwn(string $name): bool
    {
        return match ($name) {
            'localhost',
            'localhost.localdomain',
            'local',
            'broadcasthost',
            'ip6-localhost',
            'ip6-loopback',
            'ip6-localnet',
            'ip6-mcastprefix',
            'ip6-allnodes',
            'ip6-allrouters',
            'ip6-allhosts',
            '0.0.0.0' => true,
            default => false,
        };
    }

    private function __construct()
    {
    }
}
