<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Card\WifiCheck;
use InvalidArgumentException;

/**
 * A wireless network that the box may join. What it keeps of a passphrase is the key worked out from it, where that is
 * enough.
 */
final readonly class WifiNetwork
{
    /**
     * @param  string  $ssid  1 to 32 bytes
     * @param  ?string  $secret  the pre-shared key (64 hexadecimal digits), for WPA3 the passphrase itself, null
     *         when open
     * @param  int  $priority  the higher one is joined when both are there
     */
    private function __construct(
        public string $ssid,
        public WifiSecurity $security,
        #[\SensitiveParameter] public ?string $secret,
        public int $priority,
        public bool $hidden,
    ) {
    }

    /** @throws InvalidArgumentException when the name or the passphrase is none; WifiCheck says it in words */
    public static function of(
        string $ssid,
        WifiSecurity $security,
        #[\SensitiveParameter] string $passphrase,
        int $priority = 0,
        bool $hidden = false,
    ): self {
        if ($ssid === '' || strlen($ssid) > 32) {
            throw new InvalidArgumentException('A network name has 1 to 32 bytes.');
        }
        $secret = match (true) {
            $security === WifiSecurity::Open => null,
            $security->wantsPassphraseItself() => $passphrase,
            preg_match('/^[0-9a-fA-F]{64}$/D', $passphrase) === 1 => strtolower($passphrase),
            default => Psk::of($passphrase, $ssid),
        };

        return new self($ssid, $security, $secret, $priority, $hidden);
    }
}
