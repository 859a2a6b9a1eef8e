<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\SshPublicKey;

/** Judges what somebody typed for the first login: a public key, a password, a user name. */
final class LoginCheck
{
    /** Tried first by every program that guesses passwords. */
    private const WELL_KNOWN = [
        'password',
        'changeme',
        '12345678',
        'admin',
        'letmein1',
        'passwort',
        '123456789',
        'qwertyui',
        'administrator',
        'adminadmin',
        'rootroot',
        'useruser',
        'welcome1',
        'iloveyou',
        'sunshine',
        'princess',
        'football',
        'baseball',
        'trustno1',
        'superman',
        'dragon12',
        'master12',
        'monkey12',
        'password1',
        'password123',
        'p@ssw0rd',
        'passw0rd',
        'geheim12',
        'default1',
        'toor1234',
        'root1234',
        'admin123',
        'test1234',
        'temp1234',
        'changeit',
        'changeme1',
        'guest123',
        'linux123',
        'server123',
        'homeserver',
        'letmein123',
    ];

    /** Rows of keys, and the two series that everybody can count. */
    private const WALKS = [
        'qwertyuiop',
        'qwertzuiop',
        'azertyuiop',
        'asdfghjkl',
        'zxcvbnm',
        'yxcvbnm',
        '1234567890',
        'abcdefghijklmnopqrstuvwxyz',
        '1qaz2wsx3edc4rfv5tgb6yhn7ujm',
    ];

    /** NIST SP 800-131A: smaller RSA keys are not to be used any more. */
    private const SMALLEST_RSA_BITS = 2048;

    /** crypt(5): SHA-512 with 86 characters, SHA-256 with 43, yescrypt and its kin, scrypt, bcrypt with 53. */
    private const HASH = '~^\$(?:6\$(?:rounds=\d+\$)?[^$:\s]{0,16}\$[./0-9A-Za-z]{86}|5\$(?:rounds=\d+\$)?[^$:\s]{0,16}\$[./0-9A-Za-z]{43}|g?y\$[./0-9A-Za-z]+\$[./0-9A-Za-z]*\$[./0-9A-Za-z]+|7\$[./0-9A-Za-z]{11,}\$[./0-9A-Za-z]{43}|2[aby]\$\d\d\$[./0-9A-Za-z]{53})$~D';

    /** crypt(5), md5crypt: still taken, and not fit for new passwords. */
    private const OLD_HASH = '~^\$1\$[^$:\s]{0,8}\$[./0-9A-Za-z]{22}$~D';

    private const HASHES_TRIED = 6;

    /** Tidies a pasted key: line breaks inside the base64 part are taken out. Null when it does not decode. */
    public static function key(string $pasted): ?SshPublicKey
    {
        $words = preg_split('/\s+/', trim($pasted), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $type = array_shift($words) ?? '';
        // A broken line leaves the key in several pieces; join pieces for as long as no key decodes.
        for ($base64 = '', $piece = 0; $piece < min(count($words), 40); $piece++) {
            $base64 .= $words[$piece];
            $key =
                strlen($base64) % 4 === 0
                    ? SshPublicKey::tryOf($type, $base64, implode(' ', array_slice($words, $piece + 1)))
                    : null;
            if ($key !== null && self::isWhole($key)) {
                return $key;
            }
        }

        return null;
    }

    public static function keyFindings(string $pasted, string $field = 'public_key'): Findings
    {
        $place = Place::field($field);
        if (str_contains($pasted, 'PRIVATE KEY')) {
            return Findings::of(LoginFindings::privateKey($place));
        }
        $key = self::key($pasted);
        if ($key === null) {
            return Findings::of(LoginFindings::keyDoesNotDecode($place));
        }
        if ($key->type === 'ssh-dss') {
            return Findings::of(LoginFindings::keyTooOld($place));
        }

        $bits = $key->rsaBits();
        if ($bits !== null && $bits < self::SMALLEST_RSA_BITS) {
            return Findings::of(LoginFindings::keySmall($bits, $place));
        }

        return preg_match('/\S\s*[\r\n]\s*\S/', trim($pasted)) === 1
            ? Findings::of(LoginFindings::keyLineBreaks($place))
            : Findings::of();
    }

    /** @param  list<string>  $names  of the user and the box: a password like one of them is guessed first */
    public static function passwordFindings(
        #[\SensitiveParameter] string $password,
        string $field = 'password',
        array $names = [],
    ): Findings {
        $place = Place::field($field);

        return match (true) {
            mb_strlen($password) < 8 => Findings::of(LoginFindings::passwordShort($place)),
            in_array(strtolower($password), self::WELL_KNOWN, true) => Findings::of(
                LoginFindings::passwordAmongTheFirst($place),
            ),
            self::isLike($password, $names) => Findings::of(LoginFindings::passwordLikeName($place)),
            self::isWalk($password) => Findings::of(LoginFindings::passwordWalk($place)),
            default => Findings::of(),
        };
    }

    /** @param  list<string>  $names */
    private static function isLike(#[\SensitiveParameter] string $password, array $names): bool
    {
        $bare = (string) preg_replace('/[^a-z]/', '', strtolower($password));
        foreach (
            array_filter(array_map(strtolower(...), $names), fn (string $name): bool => strlen($name) >= 3) as $name
        ) {
            $name = (string) preg_replace('/[^a-z]/', '', $name);
            if (
                $name !== '' &&
                in_array($bare, [$name, $name.$name, strrev($name), "my{$name}", "the{$name}"], true)
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Made of pieces of rows of keys, forwards or backwards, four and more at a time, or of one or two letters only.
     */
    private static function isWalk(#[\SensitiveParameter] string $password): bool
    {
        $rest = strtolower($password);
        if (count(array_unique(mb_str_split($rest))) <= 2) {
            return true;
        }
        for ($walked = 0, $at = 0; $at < strlen($rest);) {
            $longest = 0;
            foreach (self::WALKS as $row) {
                foreach ([$row.$row, strrev($row.$row)] as $way) {
                    for (
                        $length = 4;
                        $at + $length <= strlen($rest) && str_contains($way, substr($rest, $at, $length));
                        $length++
                    ) {
                        $longest = max($longest, $length);
                    }
                }
            }
            $walked += $longest;
            $at += max(1, $longest);
        }

        return strlen($rest) - $walked <= 2;
    }

    /**
     * A hash from the shadow file or for it: its form, and whether it is one of a password that everyone tries first.
     *
     * @param  bool  $try  false leaves the trials out: each takes milliseconds by design
     */
    public static function hashFindings(mixed $hash, Place $place, bool $try = true): Findings
    {
        return match (true) {
            is_string($hash) && preg_match(self::OLD_HASH, $hash) === 1 => Findings::of(
                LoginFindings::passwordHashOld($place),
            ),
            ! is_string($hash) || preg_match(self::HASH, $hash) !== 1 => Findings::of(
                LoginFindings::passwordNotHashed($place),
            ),
            $try && self::isWellKnown($hash) => Findings::of(LoginFindings::passwordKnown($place)),
            default => Findings::of(),
        };
    }

    /**
     * Tried with a few only, since each trial takes milliseconds by design; two files of a card most often hold the
     * same hash.
     */
    private static function isWellKnown(string $hash): bool
    {
        /** @var array{string, bool} $last */
        static $last = ['', false];

        return ($last = $last[0] === $hash ? $last : [$hash, self::isHashOfWellKnown($hash)])[1];
    }

    private static function isHashOfWellKnown(string $hash): bool
    {
        if (! str_starts_with($hash, '$6$') || str_contains($hash, 'rounds=')) {
            return false;
        }
        foreach (array_slice(self::WELL_KNOWN, 0, self::HASHES_TRIED) as $word) {
            if (hash_equals($hash, crypt($word, $hash))) {
                return true;
            }
        }

        return false;
    }

    public static function userFindings(string $user, string $field = 'user'): Findings
    {
        $place = Place::field($field);

        return match (true) {
            preg_match('/^[a-z_][a-z0-9_-]{0,31}$/D', $user) !== 1 => Findings::of(
                LoginFindings::userName($user, $place),
            ),
            $user === 'root' => Findings::of(LoginFindings::userRoot($place)),
            default => Findings::of(),
        };
    }

    /** All length-prefixed fields of the blob are there: a piece of a key may decode as base64 and still be cut off. */
    private static function isWhole(SshPublicKey $key): bool
    {
        $blob = (string) base64_decode($key->base64);
        for ($at = 0, $fields = 0; $at < strlen($blob); $fields++) {
            if ($at + 4 > strlen($blob)) {
                return false;
            }
            $at += 4 + (int) hexdec(bin2hex(substr($blob, $at, 4)));
        }

        return $at === strlen($blob) && $fields >= 2;
    }
}
