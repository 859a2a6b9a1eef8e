<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\AddressRange;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Burrow\Net\TimeZone;

/** Judges how somebody describes their network, field by field. */
final readonly class NetworkCheck
{
    /** @param  ?LocalNetwork  $network null when a field cannot be used */
    private function __construct(public ?LocalNetwork $network, public Findings $findings)
    {
    }

    public static function of(
        string $prefix,
        string $router,
        string $poolFirst,
        string $poolLast,
        string $domain,
        string $timeZone,
    ): self {
        $net = Prefix::tryParse(trim($prefix));
        $at = Ipv4::tryParse(trim($router));
        $first = Ipv4::tryParse(trim($poolFirst));
        $last = Ipv4::tryParse(trim($poolLast));
        $findings = Findings::of(
            ...array_filter([
                $net === null
                    ? self::wrong(
                        'prefix',
                        "“{$prefix}” is no prefix.",
                        'It is the network address, a slash and the length, with no host bits set (RFC 4632).',
                        'For example 172.22.8.0/24.',
                    )
                    : null,
                $at === null
                    ? self::wrong(
                        'router',
                        "“{$router}” is no IPv4 address.",
                        'Four numbers from 0 to 255 with dots between.',
                        'It stands on the label of many routers.',
                    )
                    : null,
                $first === null
                    ? self::wrong(
                        'pool_first',
                        "“{$poolFirst}” is no IPv4 address.",
                        'The pool is what the router hands out.',
                        'It stands on the router\'s page, under DHCP.',
                    )
                    : null,
                $last === null
                    ? self::wrong(
                        'pool_last',
                        "“{$poolLast}” is no IPv4 address.",
                        'The pool is what the router hands out.',
                        'It stands on the router\'s page, under DHCP.',
                    )
                    : null,
                self::domainFinding($domain),
                ! TimeZone::isKnown($timeZone)
                    ? self::wrong(
                        'time_zone',
                        "“{$timeZone}” is no time zone.",
                        'It is a region and a city, as in the time zone database.',
                        'For example Europe/London.',
                    )
                    : null,
            ]),
        );
        if ($net === null || $at === null || $first === null || $last === null || $findings->blocks()) {
            return new self(null, $findings);
        }
        $findings = Findings::of(
            ...array_filter([
                ! $net->isPrivate()
                    ? self::wrong(
                        'prefix',
                        $net->network->isPrivate()
                            ? "{$net} holds addresses that are not private."
                            : "{$net} is not a private network.",
                        'Home networks use 10/8, 172.16/12 or 192.168/16 (RFC 1918); nothing else is ever probed from here.',
                        'Look at the address of the desk computer.',
                    )
                    : null,
                $net->length > 30 || $net->length < 8
                    ? self::wrong(
                        'prefix',
                        "A /{$net->length} is no home network.",
                        'It should hold from two to some millions of machines.',
                        'Nearly always it is a /24.',
                    )
                    : null,
                ! $net->contains($at)
                    ? self::wrong(
                        'router',
                        "{$at} is not in {$net}.",
                        'The router stands inside its own network.',
                        'Check the prefix.',
                    )
                    : null,
                ! $net->contains($first)
                    ? self::wrong(
                        'pool_first',
                        "{$first} is not in {$net}.",
                        'The pool lies inside the network.',
                        'Check the prefix.',
                    )
                    : null,
                ! $net->contains($last)
                    ? self::wrong(
                        'pool_last',
                        "{$last} is not in {$net}.",
                        'The pool lies inside the network.',
                        'Check the prefix.',
                    )
                    : null,
                $last->number < $first->number
                    ? self::wrong(
                        'pool_last',
                        'The pool ends before it begins.',
                        "{$last} comes before {$first}.",
                        'Swap them.',
                    )
                    : null,
            ]),
        );

        return $findings->blocks()
            ? new self(null, $findings)
            : new self(
                new LocalNetwork($net, $at, AddressRange::between($first, $last), strtolower(trim($domain))),
                $findings,
            );
    }

    private static function domainFinding(string $domain): ?Finding
    {
        foreach (explode('.', trim($domain)) as $label) {
            if (Hostname::check($label, asMachine: false)->blocks()) {
                return self::wrong(
                    'domain',
                    "“{$domain}” is no domain.",
                    'It is labels of letters, digits and hyphens with dots between (RFC 1035).',
                    'home.arpa is set aside for homes (RFC 8375).',
                );
            }
        }

        return null;
    }

    private static function wrong(string $field, string $found, string $why, string $do): Finding
    {
        return AddressFindings::networkDescription($found, $why, $do, Place::field($field));
    }
}
