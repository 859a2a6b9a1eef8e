<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** `wpa_supplicant.conf` (wpa_supplicant.conf(5)): the country, and a block for each network. */
final class WpaSupplicantWriter
{
    public function write(FirstBoot $settings): CardFile
    {
        $lines = [
            new CardLine(
                'ctrl_interface=DIR=/var/run/wpa_supplicant GROUP=netdev',
                'So that the box\'s own tools can ask it.',
            ),
            new CardLine('update_config=1'),
            ...$settings->country === null
                ? []
                : [
                    new CardLine(
                        "country={$settings->country}",
                        'The country\'s channels, by law; without it the radio may stay off.',
                    ),
                ],
        ];
        foreach ($settings->wifis as $wifi) {
            $lines = [...$lines, ...$this->network($wifi)];
        }

        return new CardFile('wpa_supplicant.conf', $lines);
    }

    /** @return list<CardLine> */
    private function network(WifiNetwork $wifi): array
    {
        $key = match (true) {
            $wifi->secret === null => [new CardLine('    key_mgmt=NONE', 'An open network.')],
            $wifi->security->wantsPassphraseItself() => [
                new CardLine('    key_mgmt=SAE', 'WPA3.'),
                new CardLine('    ieee80211w=2', 'WPA3 asks for protected management frames.'),
                new CardLine("    sae_password=\"{$wifi->secret}\"", 'WPA3 alone wants the passphrase itself.'),
            ],
            default => [
                new CardLine('    key_mgmt=WPA-PSK'),
                new CardLine(
                    "    psk={$wifi->secret}",
                    'Without quotes: the key worked out from the passphrase, which is forgotten.',
                ),
            ],
        };

        return [
            new CardLine('network={'),
            new CardLine(
                '    ssid='.$this->ssid($wifi->ssid),
                preg_match('/^[\x20-\x7e]+$/D', $wifi->ssid) === 1
                    ? ''
                    : "“{$wifi->ssid}” as hexadecimal, byte by byte.",
            ),
            ...$key,
            ...$wifi->priority === 0
                ? []
                : [new CardLine("    priority={$wifi->priority}", 'The higher one is joined when both are there.')],
            ...$wifi->hidden ? [new CardLine('    scan_ssid=1', 'It does not announce itself.')] : [],
            new CardLine('}'),
        ];
    }

    /** In quotes what cannot be misread; anything else as hexadecimal without quotes. */
    private function ssid(string $ssid): string
    {
        return preg_match('/^[A-Za-z0-9 ._-]+$/D', $ssid) === 1 ? "\"{$ssid}\"" : bin2hex($ssid);
    }
}
