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
        if ($file->networks === [] && $file->isWhole) {
            return $file->findings->and([NetworkRuleFindings::noWpaNetworks(Place::file(self::FILE, 1))]);
        }
        $findings = $file->findings;
        foreach ($file->networks as $network) {
            $findings = $findings->and($this->network($network, $context));
        }

        return $file->country === null && ! $file->isWhole
            ? $findings
            : $findings->and(
                WifiCheck::country($file->country?->value, '', $file->country->place ?? Place::file(self::FILE, 1)),
            );
    }

    private function network(WpaNetwork $network, CardContext $context): Findings
    {
        $fields = $network->fields;
        $findings = Findings::of();
        if (! isset($fields['ssid'])) {
            $findings = $findings->and([NetworkRuleFindings::ssidEmpty($network->place)]);
        } else {
            $ssid = $this->text($fields['ssid']->value);
            $findings = $findings->and(
                $ssid === null
                    ? [NetworkRuleFindings::ssidUnquoted($fields['ssid']->place)]
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
                    default => [NetworkRuleFindings::pskNeitherTextNorKey($fields['psk']->place)],
                },
            );
        } elseif (
            ! isset($fields['sae_password']) &&
            ! str_contains($kind, 'NONE') &&
            preg_match('/EAP|OWE/', $kind) !== 1
        ) {
            $findings = $findings->and([NetworkRuleFindings::noPassphrase($network->place)]);
        }

        return $findings;
    }

    /** @return iterable<Finding> */
    private function inFile(Findings $findings, string $passphrase, Place $place): iterable
    {
        return $findings->blocks() || preg_match('/^[0-9a-fA-F]{64}$/D', $passphrase) === 1
            ? ($findings->blocks()
                ? $findings
                : [NetworkRuleFindings::pskForm($place)])
            : [NetworkRuleFindings::passphraseReadable($place)];
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
