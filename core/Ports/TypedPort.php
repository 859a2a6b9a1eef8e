<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Access;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Judgement\Severity;
use Burrow\Net\Address;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;

/** A row of the ledger as somebody typed it, with what speaks against it at its field. */
final readonly class TypedPort
{
    public const SCHEMES = [
        '' => 'no page',
        'http' => 'http',
        'https' => 'https',
        'smb' => 'smb',
        'ssh' => 'ssh',
        'rtsp' => 'rtsp',
    ];

    private const CLIENTS = 40;

    private const SOURCES = 8;

    /** @param  list<array{client: string, holds: string}>  $clients */
    private function __construct(
        public ?Service $service,
        public array $clients,
        public Findings $findings,
    ) {
    }

    /**
     * @param  array<string, string>  $typed  by field: port, protocol, purpose, bound, inner_port, scheme, path, reach,
     *                                        access, sources, clients
     * @param  list<Service>  $others  of the same box
     */
    public static function of(string $box, array $typed, array $others, PortScheme $scheme): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        $port = self::port($said('port'), 'port', $scheme, $found);
        $inner =
            $said('inner_port') === ''
                ? null
                : self::port($said('inner_port'), 'inner_port', $scheme, $found);
        $protocol = Protocol::tryFrom($said('protocol')) ?? Protocol::Tcp;
        $purpose = $said('purpose');
        if ($purpose === '' || mb_strlen($purpose) > 60) {
            $found[] = TypedPortFindings::purposeLength('purpose');
        }
        $bound = self::bound($said('bound'), $found);
        $reach = WhoReaches::tryFrom($said('reach')) ?? WhoReaches::House;
        $from = $reach === WhoReaches::Some ? self::sources($said('sources'), $found) : [];
        $path = $said('path');
        if ($path !== '' && preg_match('~^/[A-Za-z0-9/._\~!$&\'()*+,;=:@%?-]{0,119}$~D', $path) !== 1) {
            $found[] = TypedPortFindings::notAPath($path, 'path');
        }
        $page = isset(self::SCHEMES[$said('scheme')]) ? $said('scheme') : '';
        $clients = self::clients($said('clients'), $found);
        $service =
            $port === null
                ? null
                : new Service(
                    $box,
                    $port,
                    $protocol,
                    $purpose,
                    bound: $bound,
                    reach: $reach,
                    access: Access::tryFrom($said('access')),
                    scheme: $page,
                    path: $path,
                    inner: $inner?->number,
                    from: $from,
                );
        if ($service !== null) {
            $found = [...$found, ...self::against($service, $others)];
        }
        $findings = Findings::of(...$found);

        return new self($findings->blocks() ? null : $service, $clients, $findings);
    }

    /** @param  list<Finding>  $found */
    private static function port(string $said, string $field, PortScheme $scheme, array &$found): ?Port
    {
        if (preg_match('/^\d{6}$/D', $said) === 1) {
            $found[] = TypedPortFindings::sixDigits($said, $scheme->meant($said), $field);

            return null;
        }
        $port = preg_match('/^\d{1,5}$/D', $said) === 1 ? Port::tryOf((int) $said) : null;
        $port === null && ($found[] = TypedPortFindings::notAPort($said, $field));

        return $port;
    }

    /** @param  list<Finding>  $found */
    private static function bound(string $said, array &$found): ?string
    {
        if ($said === '' || $said === '*') {
            return null;
        }
        $address = Address::standard(trim($said, '[]'));
        $address === null && ($found[] = TypedPortFindings::notAnAddress($said, 'bound'));

        return in_array($address, ['0.0.0.0', '::'], true) ? null : $address;
    }

    /**
     * Who "some of the house" are: addresses and prefixes, with blanks or commas between them.
     *
     * @param  list<Finding>  $found
     * @return list<string> in their standard form
     */
    private static function sources(string $said, array &$found): array
    {
        $from = [];
        foreach (preg_split('/[\s,]+/', $said, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            $some = Prefix::tryParse($one) ?? (Ipv6Prefix::tryParse($one) ?? Address::standard($one));
            if ($some === null) {
                $found[] = TypedPortFindings::notAPrefix($one, Place::field('sources'));
            } else {
                $from[] = (string) $some;
            }
        }
        if (count($from) > self::SOURCES) {
            $found[] = TypedPortFindings::tooManySources(self::SOURCES, 'sources');
        } elseif ($said === '') {
            $found[] = TypedPortFindings::whoAreSome('sources');
        }

        return array_values(array_unique($from));
    }

    /**
     * "reading-desk: address", one a line; what a client holds breaks when it changes.
     *
     * @param  list<Finding>  $found
     * @return list<array{client: string, holds: string}>
     */
    private static function clients(string $said, array &$found): array
    {
        $clients = [];
        $lines = array_filter(
            array_map(trim(...), explode("\n", $said)),
            fn (string $one): bool => $one !== '',
        );
        if (count($lines) > self::CLIENTS) {
            $found[] = TypedPortFindings::tooManyClients(self::CLIENTS, 'clients');
        }
        foreach (array_slice($lines, 0, self::CLIENTS) as $line) {
            [$client, $holds] = [...array_map(trim(...), explode(':', $line, 2)), ''];
            $clients[] = [
                'client' => mb_substr($client, 0, 60),
                'holds' => mb_substr($holds ?: 'its address', 0, 60),
            ];
        }

        return $clients;
    }

    /**
     * @param  list<Service>  $others
     * @return list<Finding>
     */
    private static function against(Service $service, array $others): array
    {
        $found = [];
        foreach ($others as $other) {
            if ($other->clashesWith($service)) {
                $found[] = PortFindings::clash([$other, $service])->at(Place::field('port'));
            }
        }
        $name = RegisteredNames::of($service->protocol, $service->port->number);
        $isPage = in_array($service->scheme, ['http', 'https'], true);
        if ($isPage && $name !== null && ! str_starts_with($name, 'http')) {
            $found[] = TypedPortFindings::registeredOtherwise($service->port, $name, 'port');
        }
        if (PortTable::isEphemeral($service)) {
            $found[] = TypedPortFindings::ephemeral($service)->at(Place::field('port'));
        }

        return array_values(
            array_filter($found, fn (Finding $one): bool => $one->severity !== Severity::Fine),
        );
    }
}
