<?php

declare(strict_types=1);

namespace Burrow\Text;

/** A value as one word of a POSIX shell (POSIX.1-2017, Shell Command Language 2.2.2). */
final class ShellWord
{
    /** Single-quoted unless every character is harmless. */
    public static function of(string $value): string
    {
        return preg_match('~^[A-Za-z0-9_./:@%+=,-]+$~D', $value) === 1 ? $value : self::quoted($value);
    }

    /** Single-quoted whatever is in it. */
    public static function quoted(string $value): string
    {
        return "'".str_replace("'", "'\\''", $value)."'";
    }

    private function __construct()
    {
    }
}
