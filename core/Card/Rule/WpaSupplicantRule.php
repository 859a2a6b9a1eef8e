<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\WpaFile;
use Burrow\Card\Read\WpaNetwork;
use Burrow\Card\WifiCheck;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * `wpa_supplicant.conf` as wpa_supplicant.conf(5) reads it: no blanks around “=”, quotes for text, none for
 * hexadecimal.
 */
final class WpaSupplicantRule implements CardRule
{
    private const FILE = 'wpa_supplicant.conf';

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has(self::FILE)) {
            return Findings::of();
        }
        $file = WpaFile::read(self::FILE, $folder->lines(self::FILE));
        if ($file->networks === []) {
            return $file->findings->and([
                Finding::stop(
                    'card.no_networks',
                    'wpa_supplicant.conf names no network.',
                    'Every line is a comment or of another kind, and the radio joins nothing.',
                    'Take the comment marks away, or add a block “network={ … }”.',
                    Place::file(self::FILE, 1),
                ),
            ]);
        }
        $findings = $file->findings;
        foreach ($file->networks as $network) {
            $findings = $findings->and($this->network($network, $context));
        }

        return $findings->and(
            WifiCheck::country($file->country?->value, '', $file->country->place ?? Place::file(self::FILE, 1)),
        );
    }

    private function network(WpaNetwork $network, CardContext $context): Findings
    {
        $fields = $network->fields;
        $findings = Findings::of();
        if (! isset($fields['ssid'])) {
            $findings = $findings->and([
                Finding::stop(
                    'card.ssid_empty',
                    'A network block has no name.',
                    'The box finds nothing to join.',
                    'Add a line “ssid="…"”.',
                    $network->place,
                ),
            ]);
        } else {
            $ssid = $this->text($fields['ssid']->value);
            $findings = $findings->and(
                $ssid === null
                    ? [
                        Finding::stop(
                            'card.ssid_unquoted',
                            'The network name stands without quotes.',
                            'Without them it is read as hexadecimal digits, and the whole block is dropped.',
                            'Put it in double quotes.',
                            $fields['ssid']->place,
                        ),
                    ]
                    : WifiCheck::ssid($ssid, $fields['ssid']->place, $context->ssids),
            );
        }
        $kind = $fields['key_mgmt']->value ?? 'WPA-PSK';
        if (isset($fields['psk'])) {
            $psk = $fields['psk']->value;
            $text = str_starts_with($psk, '"') ? $this->text($psk) : null;
            $findings = $findings->and(
                match (true) {
                    $text !== null => $this->inFile(
                        WifiCheck::passphrase($text, WifiSecurity::Wpa2, $fields['psk']->place),
                        $text,
                        $fields['psk']->place,
                    ),
                    preg_match('/^[0-9a-fA-F]{64}$/D', $psk) === 1 => [],
                    default => [
                        Finding::stop(
                            'card.psk_form',
                            'The key is neither a text in quotes nor 64 hexadecimal digits.',
                            'The block is dropped, and the radio joins nothing.',
                            'A passphrase goes in double quotes; a key has 64 digits and none.',
                            $fields['psk']->place,
                        ),
                    ],
                },
            );
        } elseif (
            ! isset($fields['sae_password']) &&
            ! str_contains($kind, 'NONE') &&
            preg_match('/EAP|OWE/', $kind) !== 1
        ) {
            $findings = $findings->and([
                Finding::stop(
                    'card.no_passphrase',
                    'A network block has neither a key nor “key_mgmt=NONE”.',
                    'An open network must be called so; without it the box waits for a key it never gets.',
                    'Add psk=… or key_mgmt=NONE.',
                    $network->place,
                ),
            ]);
        }

        return $findings;
    }

    /** @return iterable<Finding> */
    private function inFile(Findings $findings, string $passphrase, Place $place): iterable
    {
        return $findings->blocks() || preg_match('/^[0-9a-fA-F]{64}$/D', $passphrase) === 1
            ? ($findings->blocks()
                ? $findings
                : [
                    Finding::stop(
                        'card.psk_form',
                        'A key of 64 digits stands in quotes.',
                        'In quotes it is a passphrase, and that has 63 characters at most.',
                        'Take the quotes away.',
                        $place,
                    ),
                ])
            : [
                Finding::note(
                    'card.passphrase_readable',
                    'The passphrase itself stands in the file.',
                    'It works; whoever finds the card can read it.',
                    'wpa_passphrase(8) makes a key of it that does as well.',
                    $place,
                ),
            ];
    }

    /** Text in quotes, or hexadecimal digits as bytes; null for anything else. */
    private function text(string $value): ?string
    {
        return match (true) {
            strlen($value) >= 2 && $value[0] === '"' && str_ends_with($value, '"') => substr($value, 1, -1),
            preg_match('/^(?:[0-9a-fA-F]{2})+$/D', $value) === 1 => (string) hex2bin($value),
            preg_match('/^P"(.*)"$/', $value, $match) === 1 => stripcslashes($match[1]),
            default => null,
        };
    }
}
