<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/** What there is to say of whole networks; what concerns one address alone says AddressFindings. */
final class NetworkFindings
{
    public static function overlap(
        string $one,
        Prefix $first,
        string $other,
        Prefix $second,
        ?Place $place,
    ): Finding {
        return Finding::stop(
            'addresses.networks_overlap',
            "{$one} ({$first}) and {$other} ({$second}) overlap.",
            'A machine sends to its own network without the router, so the two never reach each other.',
            'Give one of them another prefix.',
            $place,
        );
    }

    public static function unreadable(string $key, string $text, string $is, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_read',
            "“{$text}” is no {$is}.",
            "It stands at {$key}.",
            match ($is) {
                'prefix' => 'Write network address and length, with no host bits set: 172.22.8.0/24 (RFC 4632).',
                'hardware address' => 'Six pairs of hexadecimal digits with colons between.',
                'address with its length' => 'Write address, slash, length of the prefix: 172.22.8.16/24.',
                'unique-local prefix' => 'It begins with fd (RFC 4193); what the provider hands out changes.',
                'range' => 'Write name, first and last address: servers 172.22.8.10 172.22.8.49.',
                'IPv6 prefix' => 'Write it as fd4b:1e90:7:8::/64 (RFC 4291).',
                'IPv6 address' => 'Write it as fd4b:1e90:7:8::16 (RFC 4291).',
                'host key' => 'Type and key as ssh-keyscan prints them: ssh-ed25519 AAAA….',
                default => 'Four numbers from 0 to 255 with dots between, without leading zeros.',
            },
            $place,
        );
    }

    public static function rangeBackwards(string $what, string $from, string $to, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.range_backwards',
            "{$what} ends at {$to}, before it begins at {$from}.",
            'A range goes from its lower to its higher address.',
            'Swap the two.',
            $place,
        );
    }

    public static function outside(
        string $what,
        Ipv4|AddressRange $where,
        Prefix $prefix,
        ?Place $place,
    ): Finding {
        return Finding::stop(
            'addresses.outside_prefix',
            "{$what} ({$where}) is not in {$prefix}.",
            "The network reaches from {$prefix->network} to {$prefix->broadcast()}; nobody there would find it.",
            'Correct the address, or the prefix.',
            $place,
        );
    }

    public static function poolsOverlap(AddressRange $one, AddressRange $other, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.pools_overlap',
            "The pools {$one} and {$other} overlap.",
            'Two servers that hand out the same address give it to two machines.',
            'End one before the other begins.',
            $place,
        );
    }

    public static function addressTwice(string $value, string $one, string $other, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.address_twice',
            "{$one} and {$other} both have {$value}.",
            'Two machines with one address answer in turns, and both seem broken (RFC 5227).',
            'Give one of them another address.',
            $place,
        );
    }

    public static function macTwice(string $value, string $one, string $other, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.mac_twice',
            "{$one} and {$other} have the same hardware address {$value}.",
            'A hardware address is one machine\'s; the router would hand both the same place.',
            'Is it one machine that was written down twice?',
            $place,
        );
    }

    public static function nameTwice(string $value, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.name_twice',
            "Two machines are called {$value}.",
            'The later one in the list answers, or both in turns.',
            'Give one of them another name.',
            $place,
        );
    }

    public static function groupMac(string $name, string $mac, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.group_mac',
            "{$mac} of {$name} is no machine's own address.",
            'The lowest bit of its first pair says that it stands for several machines (IEEE 802).',
            'Read it off the board\'s label or the router\'s list again.',
            $place,
        );
    }

    public static function reservedInPool(
        string $name,
        Ipv4 $address,
        AddressRange $pool,
        ?Place $place,
    ): Finding {
        return Finding::note(
            'addresses.reserved_in_pool',
            "{$name} has its reservation {$address} inside the pool {$pool}.",
            'Many routers keep a reserved address out of what they hand out, some do not.',
            'Safe is an address outside of the pool.',
            $place,
        );
    }

    public static function carrierNat(Ipv4 $wan, ?Place $place): Finding
    {
        return Finding::warn(
            'addresses.carrier_nat',
            "The router's own address outside, {$wan}, is shared with others.",
            '100.64.0.0/10 lies between a provider\'s translator and its customers (RFC 6598); nobody outside can open a connection to it.',
            'Ask the provider for a public address, use IPv6, or let a rented machine outside be the endpoint.',
            $place,
        );
    }

    public static function doubleNat(Ipv4 $wan, ?Place $place): Finding
    {
        return Finding::warn(
            'addresses.double_nat',
            "The router's own address outside, {$wan}, is a private one: it stands behind another router.",
            'What is opened in this router is still shut in the other (RFC 1918).',
            'Open it in both, or let the first one pass everything on.',
            $place,
        );
    }

    public static function noLease(string $what, Ipv4 $address, ?Place $place): Finding
    {
        return Finding::warn(
            'addresses.link_local',
            "{$what} has {$address}: no lease came.",
            'An address of 169.254.0.0/16 is taken by the machine when nobody hands one out (RFC 3927).',
            'Look at the cable, the passphrase and the router.',
            $place,
        );
    }

    public static function notPrivate(Prefix $prefix, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_private',
            "{$prefix} is not a private network.",
            'Its addresses belong to somebody else in the world, whom nobody here could reach any more (RFC 1918).',
            'Use one of 10/8, 172.16/12 or 192.168/16.',
            $place,
        );
    }

    public static function commonPrefix(Prefix $prefix, Prefix $instead, ?Place $place): Finding
    {
        return Finding::note(
            'addresses.common_prefix',
            "{$prefix} is what most homes and guest networks have.",
            'Through a tunnel from such a place, its addresses and yours are the same, and yours are not reached.',
            "For a new network something rarer, {$instead} for instance.",
            $place,
        );
    }

    public static function filterMoves(string $name, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.filter_moves',
            "{$name} answers names for the house and has no fixed address.",
            'The day it gets another one, no name works in the house.',
            'Give it a reservation, or a static address outside of the pool.',
            $place,
        );
    }

    public static function oneResolver(string $server, ?Place $place): Finding
    {
        return Finding::note(
            'addresses.one_resolver',
            "{$server} alone answers names.",
            'While it restarts or is away, nothing in the house finds anything.',
            'A second box of its kind; not a public one beside it, which would be asked past the filter.',
            $place,
        );
    }

    public static function pastFilter(string $server, bool $ipv6, ?Place $place): Finding
    {
        return Finding::warn(
            'addresses.past_filter',
            "{$server} is handed out as a name server beside the filter.",
            $ipv6
                ? 'Machines ask the IPv6 one first and often, so most of what they ask passes the filter by.'
                : 'Machines ask any of the list, not the first, so part of what they ask passes the filter by.',
            'Hand out the filter alone, over IPv4 and IPv6.',
            $place,
        );
    }

    public static function full(string $name, ?Place $place): Finding
    {
        return Finding::warn(
            'addresses.full',
            "No address is free in {$name}.",
            'All of it is handed out or held.',
            'Shrink the pool, or look for machines that are gone.',
            $place,
        );
    }

    public static function againstScheme(
        string $name,
        Ipv4 $address,
        string $kind,
        AddressRange $range,
        ?Ipv4 $next,
        ?Place $place,
    ): Finding {
        return Finding::note(
            'addresses.against_scheme',
            "{$name} at {$address} stands outside of “{$kind}” ({$range}).",
            'A scheme tells what a machine is by its address.',
            $next === null ? 'That range is full.' : "Free there is {$next}.",
            $place,
        );
    }

    public static function unknownKind(string $name, string $kind, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.unknown_range',
            "{$name} is to stand in “{$kind}”, and no range is called so.",
            'A kind is the name of a range of the scheme.',
            'Name a range, or leave it out.',
            $place,
        );
    }

    public static function notCarried(string $what, string $value, string $why, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_carried',
            "The file cannot hold the {$what} “{$value}”.",
            $why,
            'Correct it; nothing was written.',
            $place,
        );
    }

    public static function missing(string $what, string $for, ?Place $place): Finding
    {
        return Finding::note(
            'addresses.left_out',
            "{$for} is left out: it has no {$what}.",
            'The file is made of what is known.',
            "Add the {$what} and write it again.",
            $place,
        );
    }

    public static function nothingToWrite(string $kind): Finding
    {
        return Finding::stop(
            'addresses.nothing_to_write',
            "Nothing of this description belongs into a file of the kind {$kind}.",
            'It is made of the networks and their hosts.',
            'Describe a network with a host that has an address.',
        );
    }

    public static function notSplit(Prefix $prefix, int $length, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_split',
            "{$prefix} cannot be split into /{$length}.",
            'Parts are longer prefixes, and here at most 4096 of them.',
            'Choose a length from '.($prefix->length + 1).' to '.min(32, $prefix->length + 12).'.',
            $place,
        );
    }

    public static function notAPrefixToCut(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_a_prefix_to_cut',
            '“'.mb_strimwidth($typed, 0, 40, '…').'” is no prefix.',
            'A prefix is its first address, a slash, and how many bits are the same in all of them (RFC 4632 3.1).',
            'Write one to cut it, as 172.22.8.0/24, or up to 64 with blanks between to join them.',
            $place,
        );
    }
}
