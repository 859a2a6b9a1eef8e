<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/**
 * A text as a YAML scalar that YAML 1.1 and 1.2 readers take for that same text.
 *
 * Plain only when it cannot be read as anything else; otherwise double quoted, where JSON's escapes
 * are YAML's (YAML 1.2 section 5.7).
 */
final class YamlScalar
{
    private const RESERVED = ['y', 'n', 'yes', 'no', 'on', 'off', 'true', 'false', 'null'];

    public static function of(string $text): string
    {
        if (
            preg_match('~^[A-Za-z/][A-Za-z0-9_./+-]*$~D', $text) === 1 &&
            ! in_array(strtolower($text), self::RESERVED, true)
        ) {
            return $text;
        }

        return json_encode($text, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
