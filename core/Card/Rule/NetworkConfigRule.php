<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardDocument;
use Burrow\Card\CardFolder;
use Burrow\Card\PlainScalar;
use Burrow\Card\WifiCheck;
use Burrow\Card\WifiSecurity;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** `network-config` version 2: is it read at all, is there a link, does it get an address and which, does the radio find its network. */
final class NetworkConfigRule implements CardRule
{
    /** What netplan 0.106 knows. */
    private const KEY_MANAGEMENT = ['none', 'psk', 'eap', '802.1x'];

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has('network-config')) {
            return Findings::of();
        }
        $document = CardDocument::read('network-config', $folder->text('network-config'));
        if ($document->data === null) {
            return $document->findings;
        }
        $wrapped = is_array($document->data['network'] ?? null);
        $data = $wrapped ? $document->data['network'] : $document->data;
        $root = $wrapped ? ['network'] : [];
        if (($data['version'] ?? null) !== 2) {
            return Findings::of(
                Finding::stop(
                    'card.network_version',
                    'network-config does not say “version: 2”.',
                    'The links in it are not set up, and the box stays silent.',
                    'Add that line at the top.',
                    Place::file('network-config', 1),
                ),
            );
        }
        $zone = CardDocument::read('user-data', $folder->text('user-data'))->data['timezone'] ?? '';
        $findings = Findings::of();
        $links = 0;
        foreach (['ethernets', 'wifis'] as $kind) {
            foreach (is_array($data[$kind] ?? null) ? $data[$kind] : [] as $name => $link) {
                $links++;
                $findings = $findings->and($this->link($document, [...$root, $kind, $name], $link, $context));
                if ($kind === 'wifis' && is_array($link)) {
                    $findings = $findings->and($this->radio($document, [...$root, $kind, $name], $link, is_string($zone) ? $zone : '', $context));
                }
            }
        }

        return $links > 0
            ? $findings
            : Findings::of(
                Finding::stop(
                    'card.no_links',
                    'network-config names no link.',
                    'The box stays silent.',
                    'Add an entry under “ethernets:”.',
                    Place::file('network-config', 1),
                ),
            );
    }

    /** @param  list<int|string>  $path */
    private function link(CardDocument $document, array $path, mixed $link, CardContext $context): Findings
    {
        $name = (string) end($path);
        $addresses = is_array($link) && is_array($link['addresses'] ?? null) ? array_values($link['addresses']) : [];
        if (! is_array($link) || (($link['dhcp4'] ?? false) !== true && $addresses === [])) {
            return Findings::of(
                Finding::stop(
                    'card.link_without_address',
                    "The link “{$name}” gets no address.",
                    'It asks the router for none and has none of its own.',
                    'Add “dhcp4: true”.',
                    $document->place($path),
                ),
            );
        }
        $findings = Findings::of();
        $place = $document->place([...$path, 'addresses']);
        foreach ($addresses as $text) {
            [$host, $length] = [...explode('/', is_string($text) ? $text : '', 2), ''];
            $address = Ipv4::tryParse($host);
            if ($address === null || ! is_numeric($length) || (int) $length < 1 || (int) $length > 32) {
                if (! is_string($text) || ! str_contains($text, ':')) {
                    $findings = $findings->and([
                        Finding::stop(
                            'card.address_form',
                            (is_string($text) ? "“{$text}”" : 'This').' is no address with its prefix length.',
                            'The file is refused as a whole, and the box stays silent.',
                            'Such as 172.22.8.20/24.',
                            $place,
                        ),
                    ]);
                }

                continue;
            }
            $mask = (0xFFFFFFFF << (32 - (int) $length)) & 0xFFFFFFFF;
            $findings = $findings->and(
                (new AddressJudge($context))->judge(
                    $address,
                    $this->gateway($link),
                    Prefix::tryParse(long2ip($address->number & $mask)."/{$length}"),
                    $place,
                ),
            );
        }

        return $findings;
    }

    /** @param  array<mixed>  $link */
    private function gateway(array $link): ?Ipv4
    {
        foreach (is_array($link['routes'] ?? null) ? $link['routes'] : [] as $route) {
            if (is_array($route) && in_array($route['to'] ?? null, ['default', '0.0.0.0/0'], true) && is_string($route['via'] ?? null)) {
                return Ipv4::tryParse($route['via']);
            }
        }

        return is_string($link['gateway4'] ?? null) ? Ipv4::tryParse($link['gateway4']) : null;
    }

    /**
     * @param  list<int|string>  $path
     * @param  array<mixed>  $link
     */
    private function radio(CardDocument $document, array $path, array $link, string $zone, CardContext $context): Findings
    {
        $points = is_array($link['access-points'] ?? null) ? $link['access-points'] : [];
        if ($points === []) {
            return Findings::of(
                Finding::stop(
                    'card.no_networks',
                    'The radio has no network to join.',
                    'It stays silent.',
                    'Add a name under “access-points:”.',
                    $document->place($path),
                ),
            );
        }
        $country = $link['regulatory-domain'] ?? null;
        $findings = WifiCheck::country(
            is_string($country) ? $country : null,
            $zone,
            $document->place($country === null ? $path : [...$path, 'regulatory-domain']),
        );
        foreach ($points as $ssid => $point) {
            $at = $document->place([...$path, 'access-points', $ssid]);
            $raw = $document->rawKey($at->line ?? 1);
            if (! PlainScalar::isText($raw)) {
                $findings = $findings->and([
                    Finding::stop(
                        'card.ssid_not_text',
                        "YAML reads the network name {$raw} as something other than text.",
                        'on, no, 0123, 12:30 and the like need quotes; without them the box looks for another name.',
                        'Put quotes around it.',
                        $at,
                    ),
                ]);

                continue;
            }
            $findings = $findings
                ->and(WifiCheck::ssid((string) $ssid, $at, $context->ssids))
                ->and($this->secret($document, [...$path, 'access-points', $ssid], $point));
        }

        return $findings;
    }

    /** @param  list<int|string>  $path */
    private function secret(CardDocument $document, array $path, mixed $point): Findings
    {
        $auth = is_array($point) && is_array($point['auth'] ?? null) ? $point['auth'] : [];
        $inAuth = array_key_exists('password', $auth);
        $secret = $inAuth ? $auth['password'] : (is_array($point) ? $point['password'] ?? null : null);
        if ($secret === null) {
            return Findings::of();
        }
        $at = $inAuth ? [...$path, 'auth', 'password'] : [...$path, 'password'];
        $place = $document->place($at);
        if (! is_string($secret) || ! PlainScalar::isText($document->raw($at))) {
            return Findings::of(
                Finding::stop(
                    'card.passphrase_not_text',
                    'YAML reads this passphrase as something other than text.',
                    'A number loses its leading zeros or changes its form, and the key is wrong.',
                    'Put quotes around it.',
                    $place,
                ),
            );
        }
        $kind = $auth['key-management'] ?? 'psk';
        if (! in_array($kind, self::KEY_MANAGEMENT, true)) {
            return Findings::of(
                Finding::warn(
                    'card.key_management',
                    (is_string($kind) ? "“{$kind}”" : 'This').' is a way of keeping a network that not every release knows.',
                    'netplan up to 0.106 (Debian 12) refuses the whole file for it, and the box stays silent.',
                    'Let the router offer WPA2 as well, and write the key alone.',
                    $document->place([...$path, 'auth', 'key-management']),
                ),
            );
        }
        $judged = WifiCheck::passphrase($secret, WifiSecurity::Wpa2, $place);

        return $judged->blocks() || preg_match('/^[0-9a-fA-F]{64}$/D', $secret) === 1
            ? $judged
            : Findings::of(
                Finding::note(
                    'card.passphrase_readable',
                    'The passphrase itself stands in the file.',
                    'It works; whoever finds the card can read it.',
                    'wpa_passphrase(8) makes a key of it that does as well.',
                    $place,
                ),
            );
    }
}
