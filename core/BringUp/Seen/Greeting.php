<?php

declare(strict_types=1);

namespace Burrow\BringUp\Seen;

/** Protocols that can be told by their first bytes. */
enum Greeting: string
{
    /** Start of image, and the first byte of the marker that follows. */
    private const JPEG = "\xFF\xD8\xFF";

    /** A line that the service says by itself. */
    case Line = 'line';
    /** The file share of desktops: an answer to NEGOTIATE ([MS-SMB2] 2.2.1, 2.2.3). */
    case Smb = 'smb';
    /** The network file system: an answer to the null procedure (RFC 5531, RFC 7530 16.1). */
    case Nfs = 'nfs';
    /** Samples of a receiver, which begin with the name of their form and two numbers of 4 bytes. */
    case Samples = 'samples';
    /** An audio player that plays now: its status says so (the protocol of mpd, “Querying MPD's status”). */
    case Playing = 'playing';
    /** A camera's first picture: a JPEG in the answer to a page's path, alone or first of many (ISO 10918-1 B.1). */
    case Picture = 'picture';

    public function label(): string
    {
        return match ($this) {
            self::Line => 'the service',
            self::Smb => 'a file share',
            self::Nfs => 'a network file system',
            self::Samples => 'a receiver',
            self::Playing => 'a player that plays',
            self::Picture => 'a camera that shows a picture',
        };
    }

    /**
     * What is sent first; empty where the other side begins.
     *
     * @param  string  $path  of a picture
     */
    public function opening(string $path = '/'): string
    {
        return match ($this) {
            self::Line, self::Samples => '',
            self::Smb => self::framed(
                "\xFESMB".
                    pack('vvVvvVVP', 64, 0, 0, 0, 1, 0, 0, 0).
                    str_repeat("\0", 32).
                    pack('vvvvV', 36, 2, 1, 0, 0).
                    str_repeat("\0", 16).
                    str_repeat("\0", 8).
                    pack('vv', 0x0202, 0x0210),
            ),
            self::Playing => "status\nclose\n",
            self::Picture => "GET {$path} HTTP/1.0\r\nHost: box\r\nAccept: image/jpeg, multipart/x-mixed-replace\r\n\r\n",
            self::Nfs => pack('N', 0x80000028).pack('N10', 0x4B42, 0, 2, 100003, 4, 0, 0, 0, 0, 0),
        };
    }

    /** Whether enough was said to tell it by; more is not waited for. */
    public function isWhole(string $said): bool
    {
        return match ($this) {
            self::Playing => preg_match('/\n(?:OK|ACK [^\n]*)\n/', $said) === 1,
            self::Picture => str_contains($said, self::JPEG) || preg_match('~^HTTP/1\.[01] [345]~', $said) === 1,
            default => strlen($said) >= 12 || str_contains($said, "\n"),
        };
    }

    /** @param  string  $shows  what a line must begin with */
    public function fits(string $said, string $shows): bool
    {
        return match ($this) {
            self::Line => $said !== '' && str_starts_with($said, $shows),
            self::Smb => in_array(substr($said, 4, 4), ["\xFESMB", "\xFFSMB"], true),
            // The same transaction, a reply, accepted.
            self::Nfs => substr($said, 4, 12) === pack('N3', 0x4B42, 1, 0),
            self::Playing => str_starts_with($said, 'OK MPD ') && str_contains($said, "\nstate: play\n"),
            self::Picture => preg_match('~^HTTP/1\.[01] 200 ~', $said) === 1 && str_contains($said, self::JPEG),
            self::Samples => preg_match('/^[A-Z][A-Z0-9]{3}$/D', substr($said, 0, 4)) === 1 && strlen($said) >= 12,
        };
    }

    private static function framed(string $message): string
    {
        return pack('N', strlen($message)).$message;
    }
}
