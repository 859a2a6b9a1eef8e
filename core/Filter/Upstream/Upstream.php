<?php

declare(strict_types=1);

namespace Burrow\Filter\Upstream;

use Burrow\Filter\FilterFindings;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;

/** Whom a resolver asks further, and who is asked for the names of the house itself: as typed, and as files. */
final readonly class Upstream
{
    private const MOST = 4;

    private const NAME = '/^(?=.{4,253}$)(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z][a-z0-9-]{0,61}[a-z0-9]$/D';

    /** Zones of a prefix that ends inside an octet. */
    private const ZONES = 64;

    /**
     * @param  list<string>  $addresses  of whom it asks; none where it asks the root servers
     * @param  string  $name  that the certificate of an encrypted one has to show
     * @param  ?Ipv4  $local  who knows the names of the house; null where the box itself does
     */
    private function __construct(
        public Way $way,
        public array $addresses,
        public string $name,
        public LocalNetwork $house,
        public ?Ipv4 $local,
        public Findings $findings,
    ) {
    }

    /** @param  array<string, string>  $typed  way, asks, tls_name and local by field */
    public static function of(array $typed, LocalNetwork $house): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $way = Way::tryFrom($said('way')) ?? Way::Roots;
        $found = [];
        $words = preg_split('/[\s,;]+/', $said('asks'), self::MOST + 2, PREG_SPLIT_NO_EMPTY) ?: [];
        $addresses = [];
        foreach ($words as $word) {
            $address = Ipv4::tryParse($word) ?? Ipv6::tryParse($word);
            $address === null
                ? ($found[] = FilterFindings::notAnAddress($word))
                : ($addresses[] = (string) $address);
        }
        if ($way !== Way::Roots && ($words === [] || count($words) > self::MOST)) {
            $found[] = FilterFindings::typed('One to '.self::MOST.' addresses.', false)->at(
                Place::field('asks'),
            );
        }
        $isName = preg_match(self::NAME, $said('tls_name')) === 1;
        if ($way === Way::Tls && ! $isName) {
            $found[] = FilterFindings::noTlsName();
        }
        $local = $said('local') === '' ? null : Ipv4::tryParse($said('local'));
        if ($said('local') !== '' && ($local === null || ! $house->prefix->contains($local))) {
            $found[] = FilterFindings::typed('An address of the house, or nothing.', false)->at(
                Place::field('local'),
            );
        }

        return new self(
            $way,
            $way === Way::Roots ? [] : $addresses,
            $isName ? $said('tls_name') : '',
            $house,
            $local,
            Findings::of(...$found),
        );
    }

    /** unbound.conf(5): a file for its folder of settings. */
    public function unbound(): string
    {
        $private = $this->reverse();
        $lines = [
            'server:',
            '    # What is asked is only the part that each server has to know (RFC 9156).',
            '    qname-minimisation: yes',
            '    # Names outside may not lead to addresses inside; those of the house may.',
            "    private-address: {$this->house->prefix}",
            "    private-domain: \"{$this->house->domain}.\"",
        ];
        if ($this->way === Way::Tls) {
            $lines[] = '    tls-cert-bundle: "/etc/ssl/certs/ca-certificates.crt"';
        }
        if ($this->local !== null) {
            $lines[] = "    domain-insecure: \"{$this->house->domain}.\"";
            foreach ($private as $zone) {
                $lines[] = "    domain-insecure: \"{$zone}.\"";
                $lines[] = "    local-zone: \"{$zone}.\" nodefault";
            }
            foreach ([$this->house->domain, ...$private] as $zone) {
                array_push(
                    $lines,
                    '',
                    'forward-zone:',
                    "    name: \"{$zone}.\"",
                    "    forward-addr: {$this->local}",
                );
            }
        }
        if ($this->way !== Way::Roots) {
            array_push($lines, '', 'forward-zone:', '    name: "."');
            $this->way === Way::Tls && ($lines[] = '    forward-tls-upstream: yes');
            foreach ($this->addresses as $address) {
                $lines[] =
                    "    forward-addr: {$address}".($this->way === Way::Tls ? "@853#{$this->name}" : '');
            }
        }

        return implode("\n", $lines)."\n";
    }

    /** Lines of dnsmasq(8); null where it cannot do what is wanted by itself. */
    public function dnsmasq(): ?string
    {
        if ($this->way === Way::Roots || $this->way === Way::Tls) {
            return null;
        }
        $lines = ['no-resolv'];
        foreach ($this->addresses as $address) {
            $lines[] = "server={$address}";
        }
        if ($this->local === null) {
            $lines[] = "local=/{$this->house->domain}/";
            $lines[] = 'bogus-priv';
        } else {
            $lines[] = "server=/{$this->house->domain}/{$this->local}";
            $lines[] = "rev-server={$this->house->prefix},{$this->local}";
        }

        return implode("\n", [...$lines, 'stop-dns-rebind', "rebind-domain-ok=/{$this->house->domain}/"]).
            "\n";
    }

    /** @return list<string> zones of RFC 1035 3.5 that cover the prefix of the house, without the dot at their end */
    private function reverse(): array
    {
        $prefix = $this->house->prefix;
        $all =
            $prefix->length > 24
                ? [Prefix::around($prefix->network, 24)]
                : $prefix->split(8 * (int) ceil($prefix->length / 8));
        $zones = array_map(fn (Prefix $one): string => $one->reverseZone(), array_slice($all, 0, self::ZONES));

        return $zones;
    }
}
