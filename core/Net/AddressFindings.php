<?php

declare(strict_types=1);

namespace Burrow\Net;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What several floors have to say of an address or a name that somebody else has, or that is none. */
final class AddressFindings
{
    public static function notAnAddress(string $text, string $do, Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_an_address',
            "“{$text}” is no IPv4 address.",
            'Four numbers from 0 to 255 with dots between, without leading zeros.',
            $do,
            $place,
        );
    }

    public static function taken(Ipv4 $address, string $owner, string $do, Place $place): Finding
    {
        return Finding::stop(
            'addresses.taken',
            "{$address} belongs to {$owner}.",
            'Two machines with one address answer in turns, and both seem broken.',
            $do,
            $place,
        );
    }

    public static function nameTaken(string $name, string $do, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.name_taken',
            "Another box is called {$name}.",
            'Two boxes with one name answer in turns, and the router\'s list shows only one.',
            $do,
            $place,
        );
    }

    public static function broadcast(Ipv4 $address, string $do): Finding
    {
        return Finding::stop(
            'addresses.broadcast',
            "{$address} is the broadcast address.",
            'The last address of a prefix reaches everybody at once (RFC 919).',
            $do,
        );
    }

    public static function insideDhcpPool(Ipv4 $address, AddressRange $pool, string $do): Finding
    {
        return Finding::stop(
            'addresses.inside_dhcp_pool',
            "{$address} is inside the DHCP pool.",
            "The router hands out {$pool} to anyone who asks; sooner or later two machines have it.",
            $do,
        );
    }

    public static function networkAddress(Ipv4 $address, string $do): Finding
    {
        return Finding::stop(
            'addresses.network_address',
            "{$address} is the network itself.",
            'The first address of a prefix names the network (RFC 4632).',
            $do,
        );
    }

    public static function outsidePrefix(Ipv4 $address, Prefix $prefix, string $do): Finding
    {
        return Finding::stop(
            'addresses.outside_prefix',
            "{$address} is not in this network.",
            "The network reaches from {$prefix->network} to {$prefix->broadcast()}; nobody here would find the box.",
            $do,
        );
    }

    public static function router(Ipv4 $address, string $do): Finding
    {
        return Finding::stop(
            'addresses.router',
            "{$address} is the router.",
            'The whole network would lose its way out.',
            $do,
        );
    }

    /** @param  bool  $one  it is one box and no more */
    public static function outsideNetwork(string $names, bool $one): Finding
    {
        return Finding::warn(
            'addresses.outside_network',
            ucfirst($names).($one ? ' lies' : ' lie').' outside of the network that is described in Settings.',
            'Only addresses of that network are asked, so nobody knows whether they answer.',
            'Put the network right, or give them new addresses.',
        );
    }

    public static function nameOfNetwork(string $name, string $domain, Place $place): Finding
    {
        return Finding::stop(
            'addresses.name_of_network',
            "“{$name}” is the name of the network itself.",
            "Boxes here are called name.{$domain}; one of that name would answer for all of them.",
            'Choose another word.',
            $place,
        );
    }

    /** A field of the description of the network, as it is typed in Settings. */
    public static function networkDescription(string $found, string $why, string $do, Place $place): Finding
    {
        return Finding::stop('addresses.network_description', $found, $why, $do, $place);
    }
}
