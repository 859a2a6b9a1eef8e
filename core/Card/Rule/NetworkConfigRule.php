<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFindings;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\NetplanFault;
use Burrow\Card\Read\NetplanForm;
use Burrow\Card\Read\NetworkLink;
use Burrow\Card\Read\PlainScalar;
use Burrow\Card\WifiCheck;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Judgement\Severity;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Text\TextBudget;

/**
 * `network-config`, versions 1 and 2: is it read at all, is there a link, does it get an address and which, does the
 * radio find its network.
 */
final class NetworkConfigRule implements CardRule
{
    /** What netplan 0.106 knows. */
    private const KEY_MANAGEMENT = ['none', 'psk', 'eap', '802.1x'];

    /** Networks with a login of its own: the password may have any length, and no key can be made of it. */
    private const LOGIN = ['eap', '802.1x'];

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
        if (($data['config'] ?? null) === 'disabled') {
            return Findings::of();
        }
        if (! in_array($data['version'] ?? null, [1, 2], true)) {
            return Findings::of(
                NetworkRuleFindings::networkVersion(
                    array_key_exists('version', $data),
                    array_key_exists('version', $data)
                        ? $document->place([...$root, 'version'])
                        : Place::file('network-config', 1),
                ),
            );
        }
        $all =
            $data['version'] === 1 ? NetworkLink::ofVersion1($data, $root) : NetworkLink::ofVersion2($data, $root);
        $links = array_slice($all, 0, TextBudget::ITEMS);
        $refused =
            $data['version'] === 2
                ? $this->refused($document, NetplanForm::faults($data, $root, $document->raw(...)))
                : [];
        if ($links === []) {
            $none = NetworkRuleFindings::noLinks(Place::file('network-config', 1));

            return $this->besides(Findings::of($none), $refused);
        }
        $zone = CardDocument::read('user-data', $folder->text('user-data'))->data['timezone'] ?? '';
        $findings = $this->addressless($document, $links);
        if (count($all) > count($links)) {
            $findings = $findings->and([CardFindings::onlyFirst('links', Place::file('network-config'))]);
        }
        foreach ($links as $link) {
            $findings = $findings->and($this->addresses($document, $link, $context));
            if ($link->isRadio) {
                $findings = $findings->and(
                    $this->radio($document, $link->path, $link->settings, is_string($zone) ? $zone : '', $context),
                );
            }
        }

        return $this->besides($findings, $refused);
    }

    /**
     * @param  list<NetplanFault>  $faults
     * @return list<Finding>
     */
    private function refused(CardDocument $document, array $faults): array
    {
        return array_map(
            fn (NetplanFault $fault): Finding => NetworkRuleFindings::netplanRefuses(
                $fault,
                $document->place($fault->path),
            ),
            $faults,
        );
    }

    /**
     * One finding a line: what says more than that the form is wrong stands already.
     *
     * @param  list<Finding>  $refused
     */
    private function besides(Findings $findings, array $refused): Findings
    {
        $lines = array_map(
            fn (Finding $finding): ?int => $finding->place?->line,
            array_filter($findings->list, fn (Finding $finding): bool => $finding->severity === Severity::Stop),
        );

        return $findings->and(
            array_values(
                array_filter($refused, fn (Finding $one): bool => ! in_array($one->place?->line, $lines, true)),
            ),
        );
    }

    /**
     * A box is silent when no link of it gets an address; one link without is most often meant so when another has one.
     *
     * @param  non-empty-list<NetworkLink>  $links
     */
    private function addressless(CardDocument $document, array $links): Findings
    {
        if (array_filter($links, fn (NetworkLink $link): bool => $link->getsAddress()) !== []) {
            $radios = array_filter($links, fn (NetworkLink $link): bool => $link->isRadio && ! $link->getsAddress());

            return Findings::of(
                ...array_map(
                    fn (NetworkLink $link): Finding => NetworkRuleFindings::radioWithoutAddress(
                        $link,
                        $document->place($link->path),
                    ),
                    array_values($radios),
                ),
            );
        }

        return Findings::of(NetworkRuleFindings::linkWithoutAddress($links, $document->place($links[0]->path)));
    }

    private function addresses(CardDocument $document, NetworkLink $link, CardContext $context): Findings
    {
        $findings = Findings::of();
        foreach (array_slice($link->addresses, 0, TextBudget::ITEMS) as [$text, $path]) {
            $place = $document->place($path);
            [$host, $length] = [...explode('/', is_string($text) ? $text : '', 2), ''];
            $address = Ipv4::tryParse($host);
            if ($address === null || ! is_numeric($length) || (int) $length < 1 || (int) $length > 32) {
                if (! is_string($text) || ! str_contains($text, ':')) {
                    $findings = $findings->and([NetworkRuleFindings::addressForm($text, $place)]);
                }

                continue;
            }
            $mask = (0xFFFFFFFF << (32 - (int) $length)) & 0xFFFFFFFF;
            $findings = $findings->and(
                (new AddressJudge($context))->judge(
                    $address,
                    $link->gateway,
                    Prefix::tryParse(long2ip($address->number & $mask)."/{$length}"),
                    $place,
                    $document->place($link->gatewayPath),
                ),
            );
        }

        return $findings;
    }

    /**
     * @param  list<int|string>  $path
     * @param  array<mixed>  $link
     */
    private function radio(
        CardDocument $document,
        array $path,
        array $link,
        string $zone,
        CardContext $context,
    ): Findings {
        $points = is_array($link['access-points'] ?? null) ? $link['access-points'] : [];
        if ($points === []) {
            return Findings::of(NetworkRuleFindings::noNetworks($document->place($path)));
        }
        $country = $link['regulatory-domain'] ?? null;
        $findings = WifiCheck::country(
            is_string($country) ? $country : null,
            $zone,
            $document->place($country === null ? $path : [...$path, 'regulatory-domain']),
        );
        if (count($points) > TextBudget::ITEMS) {
            $findings = $findings->and([CardFindings::onlyFirst('networks', $document->place($path))]);
        }
        foreach (array_slice($points, 0, TextBudget::ITEMS, true) as $ssid => $point) {
            $at = $document->place([...$path, 'access-points', $ssid]);
            $raw = $document->rawKey($at->line ?? 1);
            if (! PlainScalar::isText($raw)) {
                $findings = $findings->and([NetworkRuleFindings::ssidNotText($raw, $at)]);

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
        // Written within a line of others it cannot be looked at alone.
        $raw = $document->raw($at);
        if (! is_string($secret) || ($raw !== '' && ! PlainScalar::isText($raw))) {
            return Findings::of(NetworkRuleFindings::passphraseNotText($place));
        }
        $kind = $auth['key-management'] ?? 'psk';
        if (! in_array($kind, self::KEY_MANAGEMENT, true)) {
            return Findings::of(
                NetworkRuleFindings::keyManagement($kind, $document->place([...$path, 'auth', 'key-management'])),
            );
        }
        if (in_array($kind, self::LOGIN, true)) {
            return Findings::of();
        }
        $judged = WifiCheck::passphrase($secret, WifiSecurity::Wpa2, $place);

        return $judged->blocks() || preg_match('/^[0-9a-fA-F]{64}$/D', $secret) === 1
            ? $judged
            : Findings::of(NetworkRuleFindings::passphraseReadable($place));
    }
}
