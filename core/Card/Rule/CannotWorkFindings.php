<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of values that a reader takes and that cannot work, each with its one text. */
final class CannotWorkFindings
{
    public static function keyUnusable(Place $place): Finding
    {
        return Finding::stop(
            'card.key_unusable',
            'This public key is incomplete.',
            'It is accepted and nobody can log in with it. Often a line break cut it (sshd(8)).',
            'Paste the key again, in one line.',
            $place,
        );
    }

    public static function packagesInOne(string $text, Place $place): Finding
    {
        return Finding::stop(
            'card.packages_in_one',
            "“{$text}” is taken for the name of one package.",
            'There is no package of that name, so none is installed (cloud-init, packages).',
            'Write a list: packages: [samba, parted].',
            $place,
        );
    }

    public static function decimalMode(string $mode, Place $place): Finding
    {
        return Finding::warn(
            'card.decimal_mode',
            "The mode {$mode} is read as a decimal number.",
            'That gives other rights: '.
                sprintf('%04o', (int) $mode).
                " instead of 0{$mode} (cloud-init, write_files).",
            "Write it in quotes: '0{$mode}'.",
            $place,
        );
    }

    public static function typographic(string $mark, Place $place): Finding
    {
        return Finding::warn(
            'card.typographic_mark',
            "A command holds “{$mark}”.",
            'A shell takes a typographic dash or quotation mark for a letter; text programs put them in.',
            'Type the plain mark of the keyboard.',
            $place,
        );
    }

    public static function gatewayIsItself(string $address, Place $place): Finding
    {
        return Finding::stop(
            'card.gateway_is_itself',
            "The box's router is {$address}, which is the box itself.",
            'Nothing outside this network is reachable.',
            'Write the address of the router.',
            $place,
        );
    }

    public static function addressTwice(string $address, string $link, Place $place): Finding
    {
        return Finding::stop(
            'card.address_on_two_links',
            "{$address} is also set on {$link}.",
            'Replies leave through only one of them.',
            'Give the other interface another address, or none.',
            $place,
        );
    }

    public static function routeNowhere(string $found, Place $place): Finding
    {
        return Finding::stop(
            'card.route_nowhere',
            $found,
            'A route needs a router (netplan, routes).',
            'Write the router’s address behind “via”, without a length.',
            $place,
        );
    }

    public static function maskAsServer(string $mask, Place $place): Finding
    {
        return Finding::stop(
            'card.mask_as_server',
            "The netmask {$mask} stands in the place of the server.",
            'The fields are client, server, router, netmask (admin-guide/nfs/nfsroot); the kernel takes a mask of its own.',
            'Leave the second field empty, and put the netmask into the fourth.',
            $place,
        );
    }

    private function __construct()
    {
    }
}
