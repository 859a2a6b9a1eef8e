<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write\Own;

use Burrow\Addresses\NetworkFindings;
use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Address;
use Burrow\Net\AddressFindings;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/** Files by which a box gives itself its address, in the other school than a reservation in the router. */
abstract class OwnAddressWriter implements FileKind
{
    public function schema(): string
    {
        return 'core/Addresses/schema/own-address.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $entry = YamlEntry::read($values, $schema, $name);
        if ($entry->data === null) {
            return new WrittenFile($this->kind(), null, $entry->findings);
        }
        /** @var array{interface: string, address: string, gateway?: string, dns?: list<string>, domain?: string, host?: string} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $at = fn (string $key): Place => Place::file($name, $lines->locate([$key]));
        $found = [];
        [$text, $length] = [...explode('/', $data['address'], 2), ''];
        $address = Ipv4::tryParse($text);
        $prefix =
            $address === null || preg_match('/^(?:[1-9]|[12]\d|3[0-2])$/D', $length) !== 1
                ? null
                : Prefix::around($address, (int) $length);
        if ($address === null || $prefix === null) {
            $found[] = NetworkFindings::unreadable(
                'address',
                $data['address'],
                'address with its length',
                $at('address'),
            );
        } elseif (! $prefix->hosts()->contains($address)) {
            $found[] = ($address->equals($prefix->network)
                ? AddressFindings::networkAddress($address, 'Take one between the first and the last.')
                : AddressFindings::broadcast($address, 'Take one between the first and the last.')
            )->at($at('address'));
        }
        $gateway = isset($data['gateway']) ? Ipv4::tryParse($data['gateway']) : null;
        if (isset($data['gateway']) && $gateway === null) {
            $found[] = NetworkFindings::unreadable('gateway', $data['gateway'], 'address', $at('gateway'));
        } elseif ($gateway !== null && $prefix?->contains($gateway) === false) {
            $found[] = NetworkFindings::outside('The router', $gateway, $prefix, $at('gateway'));
        }
        $dns = [];
        foreach ($data['dns'] ?? [] as $server) {
            $one = Address::tryParse($server);
            $one === null
                ? ($found[] = NetworkFindings::unreadable('dns', $server, 'address', $at('dns')))
                : ($dns[] = $one);
        }
        $found = [...$found, ...self::words($data, $at)];
        if ($address !== null && $gateway?->equals($address) === true) {
            $found[] = AddressFindings::router(
                $address,
                'The box and its router have an address each.',
            )->at($at('gateway'));
        }
        $own =
            $address === null || $prefix === null
                ? null
                : new OwnSettings(
                    $data['interface'],
                    $address,
                    $prefix,
                    $gateway,
                    $dns,
                    strtolower(self::relative($data['domain'] ?? '')),
                    strtolower($data['host'] ?? ''),
                );
        $refused = $own === null ? null : $this->refused($own, $at);
        $findings = Findings::of(...$found, ...$refused === null ? [] : [$refused]);

        return $own === null || $findings->blocks()
            ? new WrittenFile($this->kind(), null, $findings)
            : new WrittenFile($this->kind(), $this->text($own), $findings);
    }

    /**
     * What the format cannot carry, or what would not work by it.
     *
     * @param  callable(string): Place  $at
     */
    protected function refused(OwnSettings $own, callable $at): ?Finding
    {
        return null;
    }

    /** A domain may end in the dot of the root (RFC 1034 3.1); the files have it without. */
    private static function relative(string $domain): string
    {
        return strlen($domain) > 1 && str_ends_with($domain, '.') ? substr($domain, 0, -1) : $domain;
    }

    abstract protected function text(OwnSettings $own): string;

    /**
     * @param  array{interface: string, domain?: string, host?: string}  $data
     * @param  callable(string): Place  $at
     * @return list<Finding>
     */
    private static function words(array $data, callable $at): array
    {
        $found = [];
        // What the kernel takes (dev_valid_name), less what the files would have to quote.
        if (preg_match('/^[A-Za-z][A-Za-z0-9._-]{0,14}$/D', $data['interface']) !== 1) {
            $found[] = NetworkFindings::notCarried(
                'interface',
                $data['interface'],
                'Names of interfaces are up to 15 letters, digits, dots, hyphens and underscores.',
                $at('interface'),
            );
        }
        foreach (['domain' => self::relative($data['domain'] ?? ''), 'host' => $data['host'] ?? ''] as $key => $text) {
            $labels = $text === '' ? [] : explode('.', $text);
            $bad = array_filter(
                $labels,
                fn (string $label): bool => Hostname::check($label, asMachine: false)->blocks(),
            );
            if ($bad !== [] || ($key === 'host' && count($labels) > 1)) {
                $found[] = NetworkFindings::notCarried(
                    $key,
                    $text,
                    'It is labels of letters, digits and hyphens (RFC 1035 2.3.1).',
                    $at($key),
                );
            }
        }

        return $found;
    }
}
