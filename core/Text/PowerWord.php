<?php

declare(strict_types=1);

namespace Burrow\Text;

/** A value as one argument of a PowerShell command (about_Quoting_Rules, about_Parsing). */
final class PowerWord
{
    /**
     * Begins like a name, an address or a path, and holds nothing that PowerShell reads otherwise: what begins with a
     * digit may be a number, with “@” an array, with “-” a parameter, and a comma makes a list.
     */
    private const BARE = '~^(?:[A-Za-z_][A-Za-z0-9_.:/\\\\@+-]*|\d{1,3}(?:\.\d{1,3}){3})$~D';

    /** Verbatim unless every character is harmless. */
    public static function of(string $value): string
    {
        return preg_match(self::BARE, $value) === 1 ? $value : self::quoted($value);
    }

    /** Verbatim whatever is in it: a mark is doubled; the four typographic ones close a text as the plain one does. */
    public static function quoted(string $value): string
    {
        return "'".preg_replace('/[\'\x{2018}-\x{201B}]/u', '$0$0', $value)."'";
    }

    private function __construct()
    {
    }
}
