<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of radio networks and their keys, each with its one text; sources: docs/formulas/card.md. */
final class WifiFindings
{
    public static function countryMissing(Place $place): Finding
    {
        return Finding::warn(
            'card.country_missing',
            'No country is given for the radio.',
            'On many pairs of board and image the radio stays off until it is; which channels are allowed is the law of the country.',
            'Give the two letters of the country the box stands in.',
            $place,
        );
    }

    public static function countryUnknown(string $code, Place $place): Finding
    {
        return Finding::stop(
            'card.country_unknown',
            "“{$code}” is no country code.",
            'ISO 3166-1 has two capital letters; with another the radio may stay off.',
            'GB, DE, FR and so on.',
            $place,
        );
    }

    public static function countryUnlikely(string $code, string $timeZone, Place $place): Finding
    {
        return Finding::warn(
            'card.country_unlikely',
            "{$code} and the time zone {$timeZone} do not go together.",
            'The code decides which channels may be used, and that is law where the box stands.',
            'Give the country the box stands in.',
            $place,
        );
    }

    public static function passphraseCharacter(Place $place): Finding
    {
        return Finding::stop(
            'card.passphrase_character',
            'The passphrase holds a character outside of printable ASCII.',
            'IEEE 802.11 allows none; routers and boxes turn it into different bytes.',
            'Change the passphrase at the router.',
            $place,
        );
    }

    public static function passphraseForOpen(Place $place): Finding
    {
        return Finding::warn(
            'card.passphrase_for_open',
            'An open network has no passphrase.',
            'It is left out of the file.',
            'Choose how the network is kept, or leave the passphrase empty.',
            $place,
        );
    }

    public static function passphraseInClear(Place $place): Finding
    {
        return Finding::note(
            'card.passphrase_in_clear',
            'WPA3 alone wants the passphrase itself in the file.',
            'Whoever finds the card can read it; with WPA2 a key worked out from it would do.',
            'Keep the card in the box, or let the router offer WPA2 as well.',
            $place,
        );
    }

    public static function passphraseLength(string $passphrase, Place $place): Finding
    {
        return Finding::stop(
            'card.passphrase_length',
            'The passphrase has '.strlen($passphrase).' characters; 8 to 63 are allowed (IEEE 802.11).',
            strlen($passphrase) === 64
                ? '64 characters are a key, and then all of them are 0 to 9 and a to f.'
                : 'The box cannot join with it.',
            'Type it as it stands at the router.',
            $place,
        );
    }

    public static function ssidBlank(Place $place): Finding
    {
        return Finding::note(
            'card.ssid_blank',
            'The network name begins or ends with a blank.',
            'It belongs to the name then; often it is a slip.',
            'Compare it with the name that the router shows.',
            $place,
        );
    }

    public static function ssidEmpty(Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_empty',
            'The network has no name.',
            'The box finds nothing to join.',
            'Type the name as the router shows it.',
            $place,
        );
    }

    public static function ssidLong(string $ssid, Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_long',
            'The network name has '.strlen($ssid).' bytes; 32 is the most (IEEE 802.11).',
            'No network on the air has that name. Letters outside of ASCII take two to four bytes each.',
            'Compare it with the name that the router shows.',
            $place,
        );
    }

    public static function ssidMisspelt(string $ssid, string $meant, Place $place): Finding
    {
        return Finding::warn(
            'card.ssid_misspelt',
            "“{$ssid}” is none of the networks of this house; perhaps “".$meant.'” was meant.',
            'Names are compared byte by byte: the box would look for another network.',
            'Compare it with the name that the router shows.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $near */
    public static function ssidNearly(string $ssid, array $near, Place $place): Finding
    {
        return Finding::warn(
            'card.ssid_nearly',
            "“{$ssid}” differs from “{$near[0]}” in case or blanks only.",
            'Names are compared byte by byte: the box would look for another network.',
            "Write “{$near[0]}”.",
            $place,
        );
    }

    public static function ssidUnknown(string $ssid, Place $place): Finding
    {
        return Finding::note(
            'card.ssid_unknown',
            "“{$ssid}” is none of the networks that are described in Settings.",
            'It may be a guest\'s or a hotspot\'s; if it is this house\'s, one of the two is misspelt.',
            'Describe it in Settings, or compare the two.',
            $place,
        );
    }
}
