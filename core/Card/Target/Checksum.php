<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** A published SHA-256 against what sha256sum, shasum -a 256 or Get-FileHash printed. */
final class Checksum
{
    /** The first SHA-256 in a text, in small letters; null when there is none. */
    public static function in(string $text): ?string
    {
        return preg_match('/(?<![0-9a-fA-F])[0-9a-fA-F]{64}(?![0-9a-fA-F])/', $text, $match) === 1
            ? strtolower($match[0])
            : null;
    }

    public static function compare(string $published, string $printed): Findings
    {
        $wanted = self::in($published);
        $got = self::in($printed);

        return Findings::of(
            match (true) {
                $wanted === null => self::unread($published, 'The published checksum', 'published'),
                $got === null => self::unread($printed, 'What was pasted', 'printed'),
                hash_equals($wanted, $got) => TargetFindings::checksumMatches(),
                default => TargetFindings::checksumDiffers($got, $wanted, Place::field('printed')),
            },
        );
    }

    private static function unread(string $text, string $what, string $field): Finding
    {
        $other =
            preg_match(
                '/(?<![0-9a-fA-F])(?:[0-9a-fA-F]{32}|[0-9a-fA-F]{40}|[0-9a-fA-F]{128})(?![0-9a-fA-F])/',
                $text,
                $match,
            ) === 1
                ? [32 => 'MD5', 40 => 'SHA-1', 128 => 'SHA-512'][strlen($match[0])]
                : null;

        return TargetFindings::checksumUnread($other, $what, Place::field($field));
    }
}
