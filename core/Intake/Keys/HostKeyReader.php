<?php

declare(strict_types=1);

namespace Burrow\Intake\Keys;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Net\SshPublicKey;

/**
 * Host keys: `ssh-keyscan` (with -D, too), lines of known_hosts, plain and hashed, with their marks (sshd(8)), .pub
 * lines, `ssh-keygen -l` and `-r`, and what ssh says when it meets a new key or another one than before.
 */
final class HostKeyReader implements Reader
{
    /** Names in front of one key that are looked at. */
    private const HOSTS = 50;

    /** As ssh-keygen shortens them; the curve of ECDSA by its bits. */
    private const TYPES = ['ED25519' => 'ssh-ed25519', 'RSA' => 'ssh-rsa', 'DSA' => 'ssh-dss'];

    /** RFC 4255 3.1.1, RFC 6594 5.1, RFC 7479. */
    private const SSHFP = [1 => 'ssh-rsa', 2 => 'ssh-dss', 3 => 'ecdsa-sha2-nistp256', 4 => 'ssh-ed25519'];

    private const FINGERPRINT = 'SHA256:[A-Za-z0-9+\/]{43}';

    public function kind(): string
    {
        return 'hostkeys';
    }

    public function summary(): string
    {
        return 'ssh-keyscan, ssh-keygen -l and -r, known_hosts, .pub lines, what ssh warns of';
    }

    public function sign(): string
    {
        return '/(?:^|\s)(?:ssh-(?:ed25519|rsa|dss)|ecdsa-sha2-\S+) AAAA|SHA256:[A-Za-z0-9+\/]{43}|\bIN SSHFP \d|'.
            'REMOTE HOST IDENTIFICATION HAS CHANGED/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $said = self::said($text);
        $facts = $said === null ? [] : [$said];
        foreach ($said !== null ? [] : Lines::of($text) as $number => $line) {
            $line = trim($line);
            // Comments, the picture of a key, and what ssh-keyscan says on its way.
            if (
                $line === '' ||
                preg_match('/^(?:#|\+-+[\[-]|\|.{17}\|$|getaddrinfo |\S+: Connection )/', $line) === 1
            ) {
                continue;
            }
            $found = self::line($line);
            $found === [] && $unread->add($number, 'it holds no host key that decodes');
            foreach ($found as $one) {
                $facts[] = $one;
            }
        }
        $findings = $unread->findings();

        return new Reading(
            $this->kind(),
            $facts,
            match (true) {
                $facts === [] => $findings->and([IntakeFindings::noHostKey()]),
                $said?->changed === true => $findings->and([IntakeFindings::hostKeyChanged($said)]),
                default => $findings,
            },
            [],
            $unread->count(),
        );
    }

    /** What ssh says about a key that it does not know, or not so. */
    private static function said(string $text): ?KeySeen
    {
        $changed = str_contains($text, 'REMOTE HOST IDENTIFICATION HAS CHANGED');
        if (! $changed && preg_match("/^The authenticity of host '/m", $text) !== 1) {
            return null;
        }
        $print = self::FINGERPRINT;
        preg_match("/({$print})/", $text, $sha);
        preg_match('/(?:fingerprint for the (\w+) key|^(\w+) key fingerprint is)/m', $text, $type);
        $host = match (true) {
            preg_match('/^Host key for (\S+) has changed/m', $text, $m) === 1,
            preg_match('/-R "?([^"\s]+)"?\s*$/m', $text, $m) === 1,
            preg_match("/^The authenticity of host '(\S+?)(?: \([^)]*\))?'/m", $text, $m) === 1 => $m[1],
            default => null,
        };
        preg_match('/^Offending (?:\w+ )?key in (.{1,300}):(\d{1,9})\s*$/m', $text, $where);

        return new KeySeen(
            $host,
            self::type($type[1] ?? '' ?: $type[2] ?? '', 256),
            $sha[1] ?? null,
            changed: $changed,
            file: $where[1] ?? null,
            line: isset($where[2]) ? (int) $where[2] : null,
        );
    }

    /** @return list<KeySeen> one for each name of the host */
    private static function line(string $line): array
    {
        $print = self::FINGERPRINT;
        if (
            preg_match(
                "/^(\\d{2,5}) (?:({$print})|MD5:[0-9a-f:]{47}) (.{0,255}) \\(([A-Z0-9-]{3,20})\\)\$/",
                $line,
                $m,
            ) === 1
        ) {
            // What stands there is the comment of a .pub file, or the hosts of a known_hosts line.
            $sha = $m[2] === '' ? null : $m[2];
            $hosts =
                str_contains($m[3], '@') || $m[3] === 'no comment' || str_contains($m[3], ' ')
                    ? [null]
                    : self::hosts($m[3]);

            return array_map(
                fn (?string $host): KeySeen => new KeySeen(
                    $host,
                    self::type($m[4], (int) $m[1]),
                    $sha,
                    self::isHash($host),
                ),
                $hosts,
            );
        }
        if (
            preg_match('/^(\S+)\s+(?:\d+\s+)?IN\s+SSHFP\s+([1-9])\s+([12])\s+([0-9a-f ]{40,140})$/i', $line, $m) ===
            1
        ) {
            $hex = str_replace(' ', '', $m[4]);

            return [
                new KeySeen(
                    rtrim($m[1], '.'),
                    self::SSHFP[(int) $m[2]] ?? null,
                    $m[3] === '2' && strlen($hex) === 64
                        ? 'SHA256:'.rtrim(base64_encode((string) hex2bin($hex)), '=')
                        : null,
                ),
            ];
        }
        $words = Lines::words($line);
        $mark = in_array($words[0] ?? '', ['@revoked', '@cert-authority'], true)
            ? substr((string) array_shift($words), 1)
            : null;
        $alone = SshPublicKey::tryOf($words[0] ?? '', $words[1] ?? '', implode(' ', array_slice($words, 2)));
        $key =
            $alone ?? SshPublicKey::tryOf($words[1] ?? '', $words[2] ?? '', implode(' ', array_slice($words, 3)));

        return $key === null
            ? []
            : array_map(
                fn (?string $host): KeySeen => new KeySeen(
                    $host,
                    $key->type,
                    $key->fingerprint(),
                    self::isHash($host),
                    key: $key,
                    mark: $mark,
                ),
                $alone !== null ? [null] : self::hosts($words[0]),
            );
    }

    /** @return non-empty-list<string> */
    private static function hosts(string $names): array
    {
        return array_slice(explode(',', $names), 0, self::HOSTS);
    }

    private static function isHash(?string $host): bool
    {
        return $host !== null && preg_match('/^\|1\|[A-Za-z0-9+\/=]{28}\|[A-Za-z0-9+\/=]{28}$/D', $host) === 1;
    }

    private static function type(string $short, int $bits): ?string
    {
        return $short === 'ECDSA' ? "ecdsa-sha2-nistp{$bits}" : self::TYPES[$short] ?? null;
    }
}
