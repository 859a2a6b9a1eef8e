<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\Read\NetplanFault;
use Burrow\Card\Read\NetworkLink;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/** What is found of a card's networks: addresses, links, radios and their passphrases. */
final class NetworkRuleFindings
{
    public static function addressForm(mixed $text, Place $place): Finding
    {
        return Finding::stop(
            'card.address_form',
            (is_string($text) ? "“{$text}”" : 'This').' is no address with its prefix length.',
            'The file is refused as a whole, and the box stays silent.',
            'Such as 172.22.8.20/24.',
            $place,
        );
    }

    /** @param  string  $means  what that address stands for */
    public static function addressOfNetwork(Ipv4 $address, string $means, Prefix $prefix, Place $place): Finding
    {
        return Finding::stop(
            'card.address_of_network',
            "{$address} means {$means} in {$prefix}.",
            'No machine can have it, and the box stays silent.',
            'Choose an address between the first and the last.',
            $place,
        );
    }

    public static function gatewayOutside(Ipv4 $gateway, Prefix $prefix, ?Place $atGateway, Place $place): Finding
    {
        return Finding::stop(
            'card.gateway_outside',
            "The gateway {$gateway} is not in {$prefix}.",
            'The box cannot reach it, and so nothing outside.',
            'The router\'s address, or a prefix that holds both.',
            $atGateway ?? $place,
        );
    }

    public static function ipForm(string $wrong, Place $place): Finding
    {
        return Finding::stop(
            'card.ip_form',
            'ip= is malformed. '.$wrong,
            'The kernel passes it over, and the box has no address or the router\'s.',
            'ip=client::gateway:netmask:hostname:device:off (kernel documentation, nfsroot).',
            $place,
        );
    }

    public static function keyManagement(mixed $kind, Place $place): Finding
    {
        return Finding::warn(
            'card.key_management',
            (is_string($kind) ? "“{$kind}”" : 'This').
                ' is a way of keeping a network that not every release knows.',
            'netplan up to 0.106 (Debian 12) refuses the whole file for it, and the box stays silent.',
            'Let the router offer WPA2 as well, and write the key alone.',
            $place,
        );
    }

    /** @param  non-empty-list<NetworkLink>  $links */
    public static function linkWithoutAddress(array $links, Place $place): Finding
    {
        return Finding::stop(
            'card.link_without_address',
            "The link “{$links[0]->name}” gets no address.",
            'It asks the router for none and has none of its own.',
            'Add “dhcp4: true”.',
            $place,
        );
    }

    public static function radioWithoutAddress(NetworkLink $link, Place $place): Finding
    {
        return Finding::warn(
            'card.link_without_address',
            "The radio “{$link->name}” gets no address.",
            'It joins its network and stays silent there.',
            'Add “dhcp4: true”.',
            $place,
        );
    }

    public static function netplanRefuses(NetplanFault $fault, Place $place): Finding
    {
        return Finding::stop(
            'card.netplan_refuses',
            $fault->found,
            'The file is refused as a whole, and the box stays silent.',
            $fault->do,
            $place,
        );
    }

    /** @param  bool  $said  another version is written there */
    public static function networkVersion(bool $said, Place $place): Finding
    {
        return Finding::stop(
            'card.network_version',
            'network-config does not say “version: 2”.',
            'The links in it are not set up, and the box stays silent.',
            $said ? 'Write “version: 2”.' : 'Add that line at the top.',
            $place,
        );
    }

    public static function noLinks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_links',
            'network-config names no link.',
            'The box stays silent.',
            'Add an entry under “ethernets:”.',
            $place,
        );
    }

    public static function noNetworks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_networks',
            'The radio has no network to join.',
            'It stays silent.',
            'Add a name under “access-points:”.',
            $place,
        );
    }

    public static function noWpaNetworks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_networks',
            'wpa_supplicant.conf names no network.',
            'Every line is a comment or of another kind, and the radio joins nothing.',
            'Take the comment marks away, or add a block “network={ … }”.',
            $place,
        );
    }

    public static function noPassphrase(Place $place): Finding
    {
        return Finding::stop(
            'card.no_passphrase',
            'A network block has neither a key nor “key_mgmt=NONE”.',
            'An open network must be called so; without it the box waits for a key it never gets.',
            'Add psk=… or key_mgmt=NONE.',
            $place,
        );
    }

    public static function passphraseNotText(Place $place): Finding
    {
        return Finding::stop(
            'card.passphrase_not_text',
            'YAML reads this passphrase as something other than text.',
            'A number loses its leading zeros or changes its form, and the key is wrong.',
            'Put quotes around it.',
            $place,
        );
    }

    public static function passphraseReadable(Place $place): Finding
    {
        return Finding::note(
            'card.passphrase_readable',
            'The passphrase itself stands in the file.',
            'It works; whoever finds the card can read it.',
            'wpa_passphrase(8) makes a key of it that does as well.',
            $place,
        );
    }

    public static function pskForm(Place $place): Finding
    {
        return Finding::stop(
            'card.psk_form',
            'A key of 64 digits stands in quotes.',
            'In quotes it is a passphrase, and that has 63 characters at most.',
            'Take the quotes away.',
            $place,
        );
    }

    public static function pskNeitherTextNorKey(Place $place): Finding
    {
        return Finding::stop(
            'card.psk_form',
            'The key is neither a text in quotes nor 64 hexadecimal digits.',
            'The block is dropped, and the radio joins nothing.',
            'A passphrase goes in double quotes; a key has 64 digits and none.',
            $place,
        );
    }

    public static function ssidEmpty(Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_empty',
            'A network block has no name.',
            'The box finds nothing to join.',
            'Add a line “ssid="…"”.',
            $place,
        );
    }

    public static function ssidNotText(string $raw, Place $at): Finding
    {
        return Finding::stop(
            'card.ssid_not_text',
            "YAML reads the network name {$raw} as something other than text.",
            'on, no, 0123, 12:30 and the like need quotes; without them the box looks for another name.',
            'Put quotes around it.',
            $at,
        );
    }

    public static function ssidUnquoted(Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_unquoted',
            'The network name stands without quotes.',
            'Without them it is read as hexadecimal digits, and the whole block is dropped.',
            'Put it in double quotes.',
            $place,
        );
    }

    /**
     * @param  non-empty-list<string>  $kernel
     * @param  non-empty-list<string>  $given
     */
    public static function twoAddresses(array $kernel, array $given, Place $place): Finding
    {
        return Finding::stop(
            'card.two_addresses',
            "cmdline.txt gives the box {$kernel[0]}, network-config gives it {$given[0]}.",
            'It has both or either, and the record is wrong in any case.',
            'Leave one of the two.',
            $place,
        );
    }
}
