<?php

declare(strict_types=1);

namespace App\Card;

use App\Models\Box;
use App\Models\Network;
use Burrow\Card\CardContext;
use Burrow\Card\LoginCheck;
use Burrow\Card\WifiCheck;
use Burrow\Card\Write\CardOrder;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\Sha512Crypt;
use Burrow\Card\Write\StaticAddress;
use Burrow\Card\Write\WifiNetwork;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Keyboard;
use Burrow\Net\TimeZone;
use Illuminate\Http\Request;

/** What was typed for a card. Passwords and passphrases live as long as this object does, and are kept nowhere. */
final readonly class CardRequest
{
    public const NETWORKS = [1, 2, 3];

    public Findings $findings;

    /**
     * @param  array<string, string>  $typed  by the names of the fields, without secrets
     * @param  array<int, string>  $passphrases
     * @param  list<CardSchool>  $schools
     */
    private function __construct(
        public array $typed,
        #[\SensitiveParameter] private string $password,
        #[\SensitiveParameter] private array $passphrases,
        public array $schools,
        private CardContext $known,
    ) {
        $this->findings = $this->judge();
    }

    public static function from(Request $request, ImageKind $image, CardContext $known): self
    {
        $typed = self::blank($image);
        foreach (array_keys($typed) as $field) {
            if ($request->has($field)) {
                $text = $request->string($field)->value();
                $typed[$field] = str_starts_with($field, 'ssid_') ? $text : trim($text);
            }
        }
        $schools = array_values(
            array_filter(
                array_map(CardSchool::tryFrom(...), array_filter($request->array('schools'), is_string(...))),
            ),
        );

        return new self(
            $typed,
            $request->string('first_password')->value(),
            array_combine(
                self::NETWORKS,
                array_map(fn (int $n): string => $request->string("passphrase_{$n}")->value(), self::NETWORKS),
            ),
            $schools === [] ? [$image->schools[0]] : $schools,
            $known,
        );
    }

    /** @return array<string, string> the fields as they stand before anything was typed */
    public static function blank(ImageKind $image): array
    {
        $fields = [
            'user' => 'warden',
            'public_key' => '',
            'time_zone' => '',
            'keyboard' => 'gb',
            'country' => '',
            'fixed' => 'router',
            'user_data' => '',
            'kernel_line' => '',
            'firmware' => '',
            'marker' => $image->markers[0] ?? '',
            'series_base' => '',
            'series_count' => '1',
            'series_first' => '',
        ];
        foreach (self::NETWORKS as $n) {
            $fields += ["ssid_{$n}" => '', "security_{$n}" => WifiSecurity::Wpa2->value, "hidden_{$n}" => ''];
        }

        return $fields;
    }

    /**
     * Call only when no finding blocks.
     *
     * @param  list<string>  $packages
     */
    public function settings(Box $box, Network $network, array $packages): FirstBoot
    {
        $wifis = $this->wifis();

        return new FirstBoot(
            name: Hostname::parse((string) $box->name),
            domain: $network->domain,
            instance: $box->name.'-'.bin2hex(random_bytes(4)),
            user: $this->typed['user'],
            key: $this->typed['public_key'] === '' ? null : LoginCheck::key($this->typed['public_key']),
            passwordHash: $this->password === ''
                ? null
                : Sha512Crypt::hash(
                    $this->password,
                    substr(strtr(base64_encode(random_bytes(12)), '+', '.'), 0, 16),
                ),
            timeZone: $this->typed['time_zone'],
            keyboard: $this->typed['keyboard'],
            packages: $packages,
            wifis: $wifis,
            country: $wifis === [] || $this->typed['country'] === '' ? null : $this->typed['country'],
            static: $this->typed['fixed'] === 'card' && $box->address !== null
                ? self::fixed(Ipv4::parse($box->address), $network)
                : null,
            wired: $box->link !== 'wireless',
        );
    }

    public function order(ImageKind $image): CardOrder
    {
        return new CardOrder(
            $image,
            $this->schools === [] ? [$image->schools[0]] : $this->schools,
            $this->known->containers,
            $this->known->sixtyFour,
            str_replace("\r\n", "\n", $this->typed['user_data']),
            $this->typed['kernel_line'],
            $this->typed['firmware'],
            in_array($this->typed['marker'], $image->markers, true) ? $this->typed['marker'] : '',
        );
    }

    public static function fixed(Ipv4 $address, Network $network): StaticAddress
    {
        $local = $network->asLocalNetwork();

        return new StaticAddress($address, $local->prefix, $local->router, [$local->router]);
    }

    /** @return list<WifiNetwork> the first one first */
    private function wifis(): array
    {
        $wifis = [];
        foreach (self::NETWORKS as $n) {
            if ($this->typed["ssid_{$n}"] !== '') {
                $wifis[] = WifiNetwork::of(
                    $this->typed["ssid_{$n}"],
                    WifiSecurity::from($this->typed["security_{$n}"]),
                    $this->passphrases[$n],
                    count(self::NETWORKS) - $n,
                    $this->typed["hidden_{$n}"] !== '',
                );
            }
        }

        return $wifis;
    }

    private function judge(): Findings
    {
        $typed = $this->typed;
        $findings = LoginCheck::userFindings($typed['user']);
        if ($typed['public_key'] === '' && $this->password === '') {
            $findings = $findings->and([CardFormFindings::noLogin(Place::field('public_key'))]);
        }
        if ($typed['public_key'] !== '') {
            $findings = $findings->and(LoginCheck::keyFindings($typed['public_key']));
        }
        if ($this->password !== '') {
            $findings = $findings->and(
                LoginCheck::passwordFindings($this->password, 'first_password', [
                    $typed['user'],
                    ...$this->known->ownName === null ? [] : [$this->known->ownName],
                ]),
            );
        }
        if (! TimeZone::isKnown($typed['time_zone'])) {
            $findings = $findings->and([
                CardFormFindings::timeZone($typed['time_zone'], Place::field('time_zone')),
            ]);
        }
        if (preg_match('/^[a-z]{2}$/D', $typed['keyboard']) !== 1) {
            $findings = $findings->and([CardFormFindings::keyboard($typed['keyboard'], Place::field('keyboard'))]);
        } elseif (! Keyboard::isKnown($typed['keyboard'])) {
            $findings = $findings->and([
                CardFormFindings::keyboardUnknown($typed['keyboard'], Place::field('keyboard')),
            ]);
        }

        return $findings->and($this->radio());
    }

    private function radio(): Findings
    {
        $findings = Findings::of();
        $any = false;
        foreach (self::NETWORKS as $n) {
            $ssid = $this->typed["ssid_{$n}"];
            $security = WifiSecurity::tryFrom($this->typed["security_{$n}"]);
            if ($ssid === '' && $this->passphrases[$n] === '') {
                continue;
            }
            $any = true;
            $findings = $findings->and(WifiCheck::ssid($ssid, Place::field("ssid_{$n}"), $this->known->ssids));
            $findings = $findings->and(
                $security === null
                    ? [CardFormFindings::wifiSecurity(Place::field("security_{$n}"))]
                    : WifiCheck::passphrase($this->passphrases[$n], $security, Place::field("passphrase_{$n}")),
            );
        }

        return $any
            ? $findings->and(
                WifiCheck::country($this->typed['country'], $this->typed['time_zone'], Place::field('country')),
            )
            : $findings;
    }
}
