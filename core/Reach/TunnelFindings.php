<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Text\Words;

/** What speaks against a tunnel and its devices, and against the line that it comes in by. */
final class TunnelFindings
{
    public static function notAKey(string $whose, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_a_key',
            "The key of {$whose} is none.",
            'A public key is 44 letters and ends in “=”: 32 bytes in base64 (wg(8)).',
            'Copy the whole of what wg pubkey prints.',
            $place,
        );
    }

    public static function notATunnelNet(string $typed, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_a_tunnel_net',
            '“'.Words::typed($typed).'” cannot be the network inside.',
            'It is a private prefix of 8 to 65 536 addresses (RFC 1918), written at its network address.',
            'Leave it out, and one is proposed.',
            $place,
        );
    }

    public static function netCollides(string $net, Prefix $other, string $instead, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.net_collides',
            "The network inside, {$net}, overlaps {$other}.",
            'A device could not tell what goes through the tunnel and what does not.',
            "{$instead} is free of all that are named.",
            $place,
        );
    }

    public static function samePrefixThere(Prefix $house, Prefix $there): Finding
    {
        return Finding::warn(
            'reach.same_prefix_there',
            "From a place with {$there} nothing of {$house} is found.",
            'A traveller in a network of the same numbers asks there, and not through the tunnel.',
            'Renumber the house to something rare, or let that device send everything through the tunnel.',
        );
    }

    public static function carrierNat(?Ipv4 $address): Finding
    {
        return Finding::stop(
            'reach.carrier_nat',
            'The provider shares one address between many houses'.
                ($address === null ? '' : " ({$address})").
                '.',
            'From 100.64.0.0/10 nobody outside can be let in: a forwarded port leads nowhere (RFC 6598).',
            'Ask the provider for an address of your own or IPv6, or let both ends meet at a relay.',
        );
    }

    public static function routerBehindRouter(?Ipv4 $address): Finding
    {
        return Finding::warn(
            'reach.router_behind_router',
            'The router stands behind another one'.
                ($address === null ? '' : ": its outside address is {$address}").
                '.',
            'A port that is forwarded here must be forwarded in the other router, too (RFC 1918).',
            'Forward it there to this router, or let the first one only be a modem.',
        );
    }

    public static function changingAddress(string $outside): Finding
    {
        return Finding::warn(
            'reach.changing_address',
            "{$outside} is an address, and it changes.",
            'When it is another one, no device finds the house any more.',
            'Use a name that is kept up to date (dynamic DNS), and note since when it is right.',
        );
    }

    public static function noNames(): Finding
    {
        return Finding::note(
            'reach.no_names',
            'Devices ask their own resolver, not the house.',
            'Then the names of the house are not found, and nothing is filtered on the way.',
            'Name the filter of the house under names.',
        );
    }

    public static function mtuTooSmall(int $bytes, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.mtu_too_small',
            "{$bytes} bytes are left inside the tunnel.",
            'IPv6 wants at least 1280 (RFC 8200 5).',
            'Say what the connection really carries.',
            $place,
        );
    }

    public static function outsideNet(string $address, string $net, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.outside_net',
            '“'.Words::typed($address)."” is no address of {$net}.",
            'Each device has one of the addresses inside.',
            'Leave it out, and the next free one is taken.',
            $place,
        );
    }

    public static function addressTwice(string $address, string $one, string $other, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.address_twice',
            "{$one} and {$other} both have {$address}.",
            'The endpoint tells devices apart by it; the last one that is named would have it alone.',
            'Give one of them another.',
            $place,
        );
    }

    public static function keyTwice(string $one, string $other, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.key_twice',
            "{$one} and {$other} have the same key.",
            'A key is one device: with two, the one that called last gets all answers, and neither can be taken back alone.',
            'Make a key of its own for each.',
            $place,
        );
    }

    public static function notAName(string $name, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_a_name',
            '“'.Words::typed($name).'” cannot stand in the file.',
            'Names of devices are up to 40 letters, digits, blanks, dots, hyphens and apostrophes.',
            'Call it by what it is: the warden’s phone.',
            $place,
        );
    }

    public static function nameTwice(string $name, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.name_twice',
            "Two devices are called {$name}.",
            'When one is lost, nobody knows which key to take back.',
            'Call one of them otherwise.',
            $place,
        );
    }

    public static function netFull(string $net, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.net_full',
            "{$net} has no address left.",
            'Each device wants one.',
            'Take a larger network inside.',
            $place,
        );
    }
}
