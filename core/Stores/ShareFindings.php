<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What speaks against mounts, shares and exports as they are typed. */
final class ShareFindings
{
    public static function notASource(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_source',
            '“'.Words::typed($typed).'” is nothing that can be mounted.',
            'A source is UUID=…, LABEL=…, a path, or a server with its share (fstab(5)).',
            'Take the UUID; letters of devices change between starts.',
            $place,
        );
    }

    public static function notAMountPoint(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_mount_point',
            '“'.Words::typed($typed).'” is no place to mount at.',
            'It is a path from the root; “none” is for swap alone (fstab(5)).',
            'Write it as /srv/store.',
            $place,
        );
    }

    public static function mountedTwice(string $mount, Place $place): Finding
    {
        return Finding::stop(
            'stores.mounted_twice',
            "Two entries are mounted at {$mount}.",
            'The later one hides the earlier one.',
            'Give one of them another place.',
            $place,
        );
    }

    public static function notAShareName(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_share_name',
            '“'.Words::typed($typed).'” is no name for a share.',
            'Some words and signs have a meaning of their own in smb.conf, and on the network.',
            'Take letters, digits, blanks inside, hyphens and underscores.',
            $place,
        );
    }

    public static function shareTwice(string $name, Place $place): Finding
    {
        return Finding::stop(
            'stores.share_twice',
            "Two shares are called {$name}.",
            'Names of shares ignore case; the two would be one, with the settings of both.',
            'Call one of them otherwise.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $firsts  "60 shares": what the page has room for */
    public static function onlyFirst(array $firsts): Finding
    {
        return Finding::note(
            'stores.only_first',
            'Only the first '.implode(' and the first ', $firsts).' are worked out.',
            'Nobody reads a table of more.',
            'Paste the rest by itself.',
        );
    }

    public static function notAnAccount(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_an_account',
            '“'.Words::typed($typed).'” is neither an account nor a group.',
            'Accounts are letters, digits, dots, hyphens and underscores; groups have @ in front.',
            'Write it as useradd took it.',
            $place,
        );
    }

    public static function likeAHome(string $name, Place $place): Finding
    {
        return Finding::stop(
            'stores.like_a_home',
            "The share {$name} has the name of an account.",
            'With shares for every account it collides with that one’s own.',
            'Call it otherwise, or leave the shares for accounts out.',
            $place,
        );
    }

    public static function guestAndUsers(string $name, Place $place): Finding
    {
        return Finding::warn(
            'stores.guest_and_users',
            "{$name} is for guests and for certain accounts.",
            'A guest is none of those, and is refused.',
            'Leave one of the two out.',
            $place,
        );
    }

    public static function exportedTwice(string $path, Place $place): Finding
    {
        return Finding::stop(
            'stores.exported_twice',
            "{$path} stands there twice.",
            'One line holds all clients of a folder.',
            'Put the clients together.',
            $place,
        );
    }

    public static function notAClient(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'stores.not_a_client',
            '“'.Words::typed($typed).'” is no client.',
            'A client is an address, a prefix at its network address, a host name, or * (exports(5)).',
            'Write it as 172.22.8.0/24.',
            $place,
        );
    }

    public static function everybodyWrites(string $path, Place $place): Finding
    {
        return Finding::warn(
            'stores.everybody_writes',
            "Everybody who reaches the box may write to {$path}.",
            'This kind of share asks for no password; the address is all it knows.',
            'Name the prefix of the house, or single machines.',
            $place,
        );
    }

    public static function noNamesThere(Place $place): Finding
    {
        return Finding::stop(
            'stores.no_names_there',
            'This kind of table holds no names of partitions.',
            'Only the newer kind has room for them.',
            'Leave the name out; the file system can have a label.',
            $place,
        );
    }

    public static function guestsAndNames(string $share): Finding
    {
        return Finding::warn(
            'stores.guests_and_names',
            "[{$share}] lets guests in and names its users as well.",
            'A guest is nobody, and nobody is not among the names: guests are kept out after all.',
            'Take out guest ok, or valid users.',
        );
    }

    public static function likeAnAccount(string $share): Finding
    {
        return Finding::warn(
            'stores.like_an_account',
            "[{$share}] is called like an account, and [homes] gives each account a share of its name.",
            'Which of the two somebody gets depends on who asks.',
            'Call it otherwise, or take [homes] out.',
        );
    }

    public static function guestsWrite(string $share): Finding
    {
        return Finding::warn(
            'stores.guests_write',
            "[{$share}] lets anybody in the network write, without an account.",
            'One infected machine is enough to encrypt all of it.',
            'Let guests read only, and give those who write an account.',
        );
    }
}
