<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * `network-config` version 2, as netplan reads it: the socket, and the wireless networks when there are any.
 *
 * A network with WPA3 alone is left out: netplan up to 0.106, which Debian 12 has, refuses the whole file for it.
 */
final class NetworkConfigWriter
{
    public function write(FirstBoot $settings): CardFile
    {
        return new CardFile('network-config', [
            new CardLine('version: 2', 'The form that current systems read.'),
            new CardLine('ethernets:'),
            new CardLine('  wired:', 'A name for this entry, nothing more.'),
            new CardLine('    match:'),
            new CardLine('      name: "e*"', 'Whatever the socket is called on this board: eth0, end0, enx….'),
            ...$this->address($settings, $settings->wired),
            new CardLine('    optional: true', 'The box starts even when the cable is missing.'),
            ...$this->wifis($settings),
        ]);
    }

    /** What this file cannot say. */
    public function findings(FirstBoot $settings): Findings
    {
        return Findings::of(
            ...array_map(
                fn (WifiNetwork $wifi, int $at): Finding => WriteFindings::wpa3Declarative(
                    $wifi,
                    Place::field('security_'.($at + 1)),
                ),
                $alone = array_filter(
                    $settings->wifis,
                    fn (WifiNetwork $wifi): bool => $wifi->security->wantsPassphraseItself(),
                ),
                array_keys($alone),
            ),
        );
    }

    /** @return list<CardLine> */
    private function address(FirstBoot $settings, bool $here): array
    {
        $static = $settings->static;
        if ($static === null || ! $here) {
            return [new CardLine('    dhcp4: true', 'The router hands out the address; the reservation pins it.')];
        }

        return [
            new CardLine('    dhcp4: false', 'The address is given here, and the router is not asked.'),
            new CardLine(
                "    addresses: [{$static->address}/{$static->prefix->length}]",
                'Outside of what the router hands out.',
            ),
            new CardLine('    routes:'),
            new CardLine('      - to: default', 'Everything outside of the house …'),
            new CardLine("        via: {$static->gateway}", '… goes through the router.'),
            ...$static->resolvers === []
                ? []
                : [
                    new CardLine('    nameservers:'),
                    new CardLine(
                        '      addresses: ['.implode(', ', $static->resolvers).']',
                        'Who is asked for names.',
                    ),
                ],
        ];
    }

    /** @return list<CardLine> */
    private function wifis(FirstBoot $settings): array
    {
        $wifis = array_values(
            array_filter(
                $settings->wifis,
                fn (WifiNetwork $wifi): bool => ! $wifi->security->wantsPassphraseItself(),
            ),
        );
        if ($wifis === []) {
            return [];
        }
        $lines = [
            new CardLine('wifis:'),
            new CardLine('  wlan0:', 'The radio\'s own name.'),
            ...$this->address($settings, ! $settings->wired),
            new CardLine('    optional: true', 'The box starts even when the network is not in reach.'),
            ...$settings->country === null
                ? []
                : [
                    new CardLine(
                        "    regulatory-domain: {$this->quoted($settings->country)}",
                        'The country\'s channels, by law.',
                    ),
                ],
            new CardLine(
                '    access-points:',
                count($wifis) > 1 ? 'This form keeps no order; the strongest is joined.' : '',
            ),
        ];
        foreach ($wifis as $wifi) {
            $lines = [...$lines, ...$this->accessPoint($wifi)];
        }

        return $lines;
    }

    /** @return list<CardLine> */
    private function accessPoint(WifiNetwork $wifi): array
    {
        $name = $this->quoted($wifi->ssid);
        $hidden = $wifi->hidden ? [new CardLine('        hidden: true', 'It does not announce itself.')] : [];

        return match (true) {
            $wifi->secret === null => $hidden === []
                ? [new CardLine("      {$name}: {}", 'An open network.')]
                : [new CardLine("      {$name}:", 'An open network.'), ...$hidden],
            default => [
                new CardLine("      {$name}:"),
                new CardLine(
                    "        password: {$this->quoted($wifi->secret)}",
                    'The key worked out from the passphrase, which is forgotten.',
                ),
                ...$hidden,
            ],
        };
    }

    /** Always in quotes: a name such as on, 0123 or 12:30 is otherwise read as something else. */
    private function quoted(string $text): string
    {
        return json_encode($text, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
