<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

use Burrow\Net\Ipv4;
use Burrow\Net\Port;

/** What a value that is asked must look like. The rule of each is that of the program that reads it. */
enum AskedKind: string
{
    /** One line of text. */
    case Text = 'text';
    /** 1 to 65535. */
    case Port = 'port';
    /** A folder on the box, from the root. */
    case Folder = 'folder';
    /** What stands behind the host in an address line, from its first slash. */
    case UrlPath = 'url-path';
    /** A container image: registry, path and tag or digest, as the engine takes it. */
    case Image = 'image';
    /** A name as it is looked up, or an address. */
    case Host = 'host';
    /** An IPv4 address. */
    case Address = 'address';
    /** Names to look up, one a line, at most 200. */
    case Names = 'names';
    /** An account on a system of the Debian kind (adduser(8)). */
    case Account = 'account';
    /** 32 bytes in base64, as wg(8) prints keys. */
    case TunnelKey = 'tunnel-key';
    /** Where something is fetched from: a scheme, a host, a path. */
    case Source = 'source';
    /** A private network of 256 addresses (RFC 1918), as 10.77.8.0/24. */
    case PrivateNet = 'private-net';
    /** A word of letters, digits, dots and dashes. */
    case Word = 'word';

    private const MOST_NAMES = 200;

    public function isLong(): bool
    {
        return $this === self::Names;
    }

    /** The value as it is kept; null when it is not of this kind. */
    public function normal(string $typed): ?string
    {
        $typed = trim(str_replace("\r", '', $typed));
        $fits = match ($this) {
            self::Text => preg_match('/^[^\x00-\x1f\x7f]{1,120}$/Du', $typed) === 1,
            self::Port => ctype_digit($typed) && Port::tryOf((int) substr($typed, 0, 6)) !== null,
            self::Folder => preg_match('~^(?:/[A-Za-z0-9][A-Za-z0-9._-]{0,60}){1,8}$~D', $typed) === 1,
            self::UrlPath => preg_match('~^/[A-Za-z0-9._/?=&%+-]{0,120}$~D', $typed) === 1,
            self::Image => preg_match(
                '~^(?:[a-z0-9](?:[a-z0-9.-]{0,80})(?::\d{1,5})?/)?[a-z0-9]+(?:[._/-][a-z0-9]+){0,12}(?::[A-Za-z0-9_][A-Za-z0-9_.-]{0,127}|@sha256:[0-9a-f]{64})$~D',
                $typed,
            ) === 1,
            self::Host => self::isName($typed) || Ipv4::tryParse($typed) !== null,
            self::Address => Ipv4::tryParse($typed) !== null,
            self::Names => self::areNames($typed),
            self::Account => preg_match('/^[a-z_][a-z0-9_-]{0,31}$/D', $typed) === 1,
            self::TunnelKey => strlen((string) base64_decode($typed, true)) === 32 && strlen($typed) === 44,
            self::Source => preg_match(
                '#^(?:https|git|ssh)://[A-Za-z0-9@._-]{1,120}(?::\d{1,5})?/[A-Za-z0-9._/~+-]{0,200}$#D',
                $typed,
            ) === 1,
            self::PrivateNet => preg_match('~^(\d{1,3}(?:\.\d{1,3}){2})\.0/24$~D', $typed, $net) === 1 &&
                Ipv4::tryParse("{$net[1]}.1")?->isPrivate() === true,
            self::Word => preg_match('/^[A-Za-z0-9][A-Za-z0-9.+_-]{0,60}$/D', $typed) === 1,
        };

        return $fits ? $typed : null;
    }

    /** What is wanted, as it ends the sentence "It must be …". */
    public function wanted(): string
    {
        return match ($this) {
            self::Text => 'one line of at most 120 letters',
            self::Port => 'a number from 1 to 65535',
            self::Folder => 'a folder from the root, like /srv/data, without blanks',
            self::UrlPath => 'a path that begins with a slash',
            self::Image => 'an image with its tag or digest, like registry.example/thing:1.2',
            self::Host => 'a name or an address',
            self::Address => 'an address like 172.22.8.1',
            self::Names => 'names, one a line, at most '.self::MOST_NAMES,
            self::Account => 'an account\'s name: small letters, digits, dashes',
            self::TunnelKey => 'a key of 44 signs that ends in “=”',
            self::Source => 'an address that begins with https://, ssh:// or git://',
            self::PrivateNet => 'a private network like 10.77.8.0/24',
            self::Word => 'one word of letters, digits, dots and dashes',
        };
    }

    private static function areNames(string $typed): bool
    {
        $names = explode("\n", $typed);

        return count($names) <= self::MOST_NAMES &&
            array_filter($names, fn (string $name): bool => ! self::isName(trim($name))) === [];
    }

    /** RFC 1123: labels of 1 to 63 letters, digits and dashes, 253 in all. */
    private static function isName(string $name): bool
    {
        return strlen($name) <= 253 &&
            preg_match(
                '/^(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)*[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.?$/iD',
                $name,
            ) === 1;
    }
}
