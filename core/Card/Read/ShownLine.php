<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Card\CardFolder;
use Burrow\Judgement\Place;

/**
 * A line of a card's file for showing beside a finding: cut to a width, and without the secret that may stand in it.
 */
final class ShownLine
{
    private const WIDTH = 160;

    /** What stands behind a field for a passphrase, a password or a key, up to the end of the value. */
    private const SECRET = '/\b((?:sae_)?pass(?:word|phrase|wd)?|\w+_passwd|psk|wep_key\d)(["\']?\s*[:=]\s*)("(?:\\\\.|[^"\\\\])*"?|\'[^\']*\'?|[^\s,}][^,}]*)/i';

    public static function of(CardFolder $folder, Place $place): string
    {
        $line = mb_scrub($folder->lines((string) $place->file)[(int) $place->line - 1] ?? '');

        return mb_strimwidth((string) preg_replace(self::SECRET, '$1$2…', $line), 0, self::WIDTH, '…');
    }
}
