<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Write\WifiSecurity;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Country;

/** Judges names, passphrases and countries of wireless networks, typed or read from a card. */
final class WifiCheck
{
    private const LONGEST_NAME = 32;

    /** @param  list<string>  $known  names that are known to be on the air */
    public static function ssid(string $ssid, Place $place, array $known = []): Findings
    {
        $near = array_values(
            array_filter(
                $known,
                fn (string $one): bool => $one !== $ssid && self::folded($one) === self::folded($ssid),
            ),
        );

        return match (true) {
            $ssid === '' => Findings::of(WifiFindings::ssidEmpty($place)),
            strlen($ssid) > self::LONGEST_NAME => Findings::of(WifiFindings::ssidLong($ssid, $place)),
            $near !== [] => Findings::of(WifiFindings::ssidNearly($ssid, $near, $place)),
            self::meant($ssid, $known) !== null => Findings::of(
                WifiFindings::ssidMisspelt($ssid, self::meant($ssid, $known), $place),
            ),
            trim($ssid) !== $ssid => Findings::of(WifiFindings::ssidBlank($place)),
            $known !== [] && ! in_array($ssid, $known, true) => Findings::of(
                WifiFindings::ssidUnknown($ssid, $place),
            ),
            default => Findings::of(),
        };
    }

    /**
     * The known network that a name is a slip of: up to two letters wrong, missing or too many, or two changed about.
     *
     * @param  list<string>  $known
     */
    private static function meant(string $ssid, array $known): ?string
    {
        if (in_array($ssid, $known, true)) {
            return null;
        }
        foreach ($known as $one) {
            if (
                strlen($one) >= 4 &&
                levenshtein(self::folded($ssid), self::folded($one)) <= min(2, intdiv(strlen($one), 4))
            ) {
                return $one;
            }
        }

        return null;
    }

    public static function passphrase(
        #[\SensitiveParameter] string $passphrase,
        WifiSecurity $security,
        Place $place,
    ): Findings {
        if ($security === WifiSecurity::Open) {
            return $passphrase === '' ? Findings::of() : Findings::of(WifiFindings::passphraseForOpen($place));
        }
        $isKey = preg_match('/^[0-9a-fA-F]{64}$/D', $passphrase) === 1 && ! $security->wantsPassphraseItself();

        return match (true) {
            $isKey => Findings::of(),
            preg_match('/[^\x20-\x7e]/', $passphrase) === 1 => Findings::of(
                WifiFindings::passphraseCharacter($place),
            ),
            strlen($passphrase) < 8 || strlen($passphrase) > 63 => Findings::of(
                WifiFindings::passphraseLength($passphrase, $place),
            ),
            $security->wantsPassphraseItself() => Findings::of(WifiFindings::passphraseInClear($place)),
            default => Findings::of(),
        };
    }

    public static function country(?string $code, string $timeZone, Place $place): Findings
    {
        return match (true) {
            $code === null || $code === '' => Findings::of(WifiFindings::countryMissing($place)),
            ! Country::isKnown($code) => Findings::of(WifiFindings::countryUnknown($code, $place)),
            $timeZone !== '' && ! Country::fits($code, $timeZone) => Findings::of(
                WifiFindings::countryUnlikely($code, $timeZone, $place),
            ),
            default => Findings::of(),
        };
    }

    private static function folded(string $name): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $name));
    }
}
