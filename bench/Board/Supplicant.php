<?php

declare(strict_types=1);

namespace Bench\Board;

use Burrow\Card\Read\WpaFields;

/** wpa_supplicant.conf as its own program takes it: a line that is not understood drops the whole file. */
final class Supplicant
{
    /**
     * @return array<string, string> name of a network => key, "" when open;
     *         none when the file does not parse or names no country
     */
    public static function networks(string $text): array
    {
        $networks = [];
        $block = null;
        $country = false;
        foreach (explode("\n", $text) as $raw) {
            // What follows a “#” after the last quote is a comment.
            $line = rtrim(
                ltrim((string) preg_replace('/^([^"#]*(?:".*")?[^"#]*)#.*$/s', '$1', $raw), " \t"),
                " \t",
            );
            if (rtrim($line) === '' || $line[0] === '#') {
                continue;
            }
            if ($block === null && $line === 'network={') {
                $block = [];
            } elseif ($block !== null && $line === '}') {
                $ssid = self::bytes($block['ssid'] ?? '');
                $secret = $block['psk'] ?? ($block['sae_password'] ?? '');
                $key =
                    preg_match('/^"(.{8,63})"$/D', $secret, $match) === 1
                        ? Links::key($match[1], $ssid ?? '')
                        : $secret;
                if (
                    $ssid === null ||
                    ($key !== '' && preg_match('/^[0-9a-f]{64}$/iD', $key) !== 1) ||
                    ($key === '' &&
                        ($block['key_mgmt'] ?? '') !== 'NONE' &&
                        ! str_contains($block['key_mgmt'] ?? '', 'EAP'))
                ) {
                    return [];
                }
                $networks[$ssid] = strtolower($key);
                $block = null;
            } elseif (
                $block !== null &&
                preg_match('/^(\w+)=(.+)$/D', $line, $match) === 1 &&
                WpaFields::ofANetwork()->has($match[1])
            ) {
                if (
                    preg_match('/^\s/', $match[2]) === 1 &&
                    (str_starts_with(ltrim($match[2]), '"') || in_array($match[1], ['ssid', 'psk', 'bssid'], true))
                ) {
                    return [];
                }
                $block[$match[1]] = ltrim($match[2]);
            } elseif (
                $block === null &&
                preg_match('/^(\w+)=(.*)$/D', $line, $match) === 1 &&
                WpaFields::top()->has($match[1])
            ) {
                $country = $country || ($match[1] === 'country' && preg_match('/^[A-Z]{2}$/D', $match[2]) === 1);
            } else {
                return [];
            }
        }

        // Without a country the radio of most boards stays off.
        return $country && $block === null ? $networks : [];
    }

    private static function bytes(string $value): ?string
    {
        return match (true) {
            preg_match('/^"(.{1,32})"$/sD', $value, $match) === 1 => $match[1],
            preg_match('/^([0-9a-f]{2}){1,32}$/iD', $value) === 1 => (string) hex2bin($value),
            default => null,
        };
    }
}
