<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

/** Keys as wg(8) writes them: 32 bytes in base64, 44 letters with one "=" at the end. */
final class TunnelKey
{
    public static function isOne(string $text): bool
    {
        $bytes = base64_decode($text, true);

        // The last letter before "=" carries four bits only; another spelling of the same bytes is refused by wg(8).
        return strlen($text) === 44 &&
            is_string($bytes) &&
            strlen($bytes) === 32 &&
            base64_encode($bytes) === $text;
    }

    private function __construct()
    {
    }
}
