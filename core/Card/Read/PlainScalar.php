<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/**
 * Whether a scalar of a YAML file is text to every reader, or something else to those that follow YAML 1.1, as
 * cloud-init's does.
 */
final class PlainScalar
{
    /**
     * What YAML 1.1 takes for truth, nothing, numbers (0123 is octal, 12:30 base sixty) and dates, when it stands
     * without quotes.
     */
    private const NOT_TEXT = '/^(?:~|null|y|yes|n|no|true|false|on|off|[-+]?0b[01_]+|[-+]?0[0-7_]+|[-+]?0x[0-9a-f_]+|[-+]?(?:0|[1-9][0-9_]*)(?::[0-5]?[0-9])*(?:\.[0-9_]*)?(?:e[-+]?[0-9]+)?|[-+]?\.(?:inf|nan|[0-9_]+)|[0-9]{4}-[0-9]{1,2}-[0-9]{1,2}.*)$/iD';

    /** @param  string  $raw  as it stands in the file, quotes and all; a comment after it does not count */
    public static function isText(string $raw): bool
    {
        $plain = trim((string) preg_replace('/\s#.*$/', '', $raw));

        return $plain !== '' && preg_match(self::NOT_TEXT, $plain) !== 1;
    }
}
