<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Write\WifiSecurity;
use Burrow\Judgement\Finding;
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
            $ssid === '' => Findings::of(
                Finding::stop(
                    'card.ssid_empty',
                    'The network has no name.',
                    'The box finds nothing to join.',
                    'Type the name as the router shows it.',
                    $place,
                ),
            ),
            strlen($ssid) > self::LONGEST_NAME => Findings::of(
                Finding::stop(
                    'card.ssid_long',
                    'The network name has '.strlen($ssid).' bytes; 32 is the most (IEEE 802.11).',
                    'No network on the air has that name. Letters outside of ASCII take two to four bytes each.',
                    'Compare it with the name that the router shows.',
                    $place,
                ),
            ),
            $near !== [] => Findings::of(
                Finding::warn(
                    'card.ssid_nearly',
                    "“{$ssid}” differs from “{$near[0]}” in case or blanks only.",
                    'Names are compared byte by byte: the box would look for another network.',
                    "Write “{$near[0]}”.",
                    $place,
                ),
            ),
            self::meant($ssid, $known) !== null => Findings::of(
                Finding::warn(
                    'card.ssid_misspelt',
                    "“{$ssid}” is none of the networks of this house; perhaps “".
                        self::meant($ssid, $known).
                        '” was meant.',
                    'Names are compared byte by byte: the box would look for another network.',
                    'Compare it with the name that the router shows.',
                    $place,
                ),
            ),
            trim($ssid) !== $ssid => Findings::of(
                Finding::note(
                    'card.ssid_blank',
                    'The network name begins or ends with a blank.',
                    'It belongs to the name then; often it is a slip.',
                    'Compare it with the name that the router shows.',
                    $place,
                ),
            ),
            $known !== [] && ! in_array($ssid, $known, true) => Findings::of(
                Finding::note(
                    'card.ssid_unknown',
                    "“{$ssid}” is none of the networks that are described in Settings.",
                    'It may be a guest\'s or a hotspot\'s; if it is this house\'s, one of the two is misspelt.',
                    'Describe it in Settings, or compare the two.',
                    $place,
                ),
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
            return $passphrase === ''
                ? Findings::of()
                : Findings::of(
                    Finding::warn(
                        'card.passphrase_for_open',
                        'An open network has no passphrase.',
                        'It is left out of the file.',
                        'Choose how the network is kept, or leave the passphrase empty.',
                        $place,
                    ),
                );
        }
        $isKey = preg_match('/^[0-9a-fA-F]{64}$/D', $passphrase) === 1 && ! $security->wantsPassphraseItself();

        return match (true) {
            $isKey => Findings::of(),
            preg_match('/[^\x20-\x7e]/', $passphrase) === 1 => Findings::of(
                Finding::stop(
                    'card.passphrase_character',
                    'The passphrase holds a character outside of printable ASCII.',
                    'IEEE 802.11 allows none; routers and boxes turn it into different bytes.',
                    'Change the passphrase at the router.',
                    $place,
                ),
            ),
            strlen($passphrase) < 8 || strlen($passphrase) > 63 => Findings::of(
                Finding::stop(
                    'card.passphrase_length',
                    'The passphrase has '.strlen($passphrase).' characters; 8 to 63 are allowed (IEEE 802.11).',
                    strlen($passphrase) === 64
                        ? '64 characters are a key, and then all of them are 0 to 9 and a to f.'
                        : 'The box cannot join with it.',
                    'Type it as it stands at the router.',
                    $place,
                ),
            ),
            $security->wantsPassphraseItself() => Findings::of(
                Finding::note(
                    'card.passphrase_in_clear',
                    'WPA3 alone wants the passphrase itself in the file.',
                    'Whoever finds the card can read it; with WPA2 a key worked out from it would do.',
                    'Keep the card in the box, or let the router offer WPA2 as well.',
                    $place,
                ),
            ),
            default => Findings::of(),
        };
    }

    public static function country(?string $code, string $timeZone, Place $place): Findings
    {
        return match (true) {
            $code === null || $code === '' => Findings::of(
                Finding::warn(
                    'card.country_missing',
                    'No country is given for the radio.',
                    'On many pairs of board and image the radio stays off until it is; which channels are allowed is the law of the country.',
                    'Give the two letters of the country the box stands in.',
                    $place,
                ),
            ),
            ! Country::isKnown($code) => Findings::of(
                Finding::stop(
                    'card.country_unknown',
                    "“{$code}” is no country code.",
                    'ISO 3166-1 has two capital letters; with another the radio may stay off.',
                    'GB, DE, FR and so on.',
                    $place,
                ),
            ),
            $timeZone !== '' && ! Country::fits($code, $timeZone) => Findings::of(
                Finding::warn(
                    'card.country_unlikely',
                    "{$code} and the time zone {$timeZone} do not go together.",
                    'The code decides which channels may be used, and that is law where the box stands.',
                    'Give the country the box stands in.',
                    $place,
                ),
            ),
            default => Findings::of(),
        };
    }

    private static function folded(string $name): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $name));
    }
}
