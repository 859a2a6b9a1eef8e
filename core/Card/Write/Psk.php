<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use InvalidArgumentException;

/**
 * The pre-shared key of WPA2: PBKDF2-HMAC-SHA1 of passphrase and network name, 4096 rounds, 256 bits (IEEE 802.11i,
 * annex H.4).
 */
final class Psk
{
    private const ROUNDS = 4096;

    private const HEX_DIGITS = 64;

    /**
     * 64 hexadecimal digits.
     *
     * @param  string  $ssid  1 to 32 bytes
     *
     * @throws InvalidArgumentException when the passphrase is not 8 to 63 printable ASCII characters
     */
    public static function of(#[\SensitiveParameter] string $passphrase, string $ssid): string
    {
        if (preg_match('/^[\x20-\x7e]{8,63}$/D', $passphrase) !== 1) {
            throw new InvalidArgumentException('A passphrase has 8 to 63 printable ASCII characters.');
        }

        return hash_pbkdf2('sha1', $passphrase, $ssid, self::ROUNDS, self::HEX_DIGITS);
    }
}
