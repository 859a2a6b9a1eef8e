<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** How a wireless network keeps strangers out. */
enum WifiSecurity: string
{
    case Open = 'open';
    case Wpa2 = 'wpa2';
    case Mixed = 'mixed';
    case Wpa3 = 'wpa3';

    public function label(): string
    {
        return match ($this) {
            self::Open => 'open, no passphrase',
            self::Wpa2 => 'WPA2 with a passphrase',
            self::Mixed => 'WPA2 and WPA3',
            self::Wpa3 => 'WPA3 only',
        };
    }

    /**
     * With WPA2 the key worked out from the passphrase is enough; WPA3 alone wants the passphrase itself (IEEE 802.11,
     * SAE).
     */
    public function wantsPassphraseItself(): bool
    {
        return $this === self::Wpa3;
    }
}
