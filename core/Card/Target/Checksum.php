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
                hash_equals($wanted, $got) => Finding::fine(
                    'card.checksum_matches',
                    'The file is the one that was published.',
                    'It arrived whole. Where the checksum itself came from is as good as the page it stood on.',
                ),
                default => Finding::stop(
                    'card.checksum_differs',
                    'The file is not the one that was published.',
                    'It was cut off, changed, or belongs to another version: '.
                        substr($got, 0, 12).
                        '… and not '.
                        substr($wanted, 0, 12).
                        '….',
                    'Download it again from its author. Do not write it.',
                    Place::field('printed'),
                ),
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

        return Finding::stop(
            'card.checksum_unread',
            $other === null ? "{$what} holds no SHA-256." : "{$what} is a {$other}, not a SHA-256.",
            'A SHA-256 has 64 characters from 0 to 9 and a to f.',
            'sha256sum FILE, shasum -a 256 FILE or Get-FileHash FILE.',
            Place::field($field),
        );
    }
}
