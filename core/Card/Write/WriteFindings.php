<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Catalogue\Part\CardSchool;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;

/** What is said of files and series of cards that are made, each with its one text; sources: docs/formulas/card.md. */
final class WriteFindings
{
    public static function bootFilesSayLess(): Finding
    {
        return Finding::note(
            'card.boot_files_say_less',
            'Name, time zone and packages are not in these files.',
            'They are typed after the first login; the commands stand below.',
        );
    }

    public static function bootFilesWantPassword(Place $place): Finding
    {
        return Finding::stop(
            'card.boot_files_want_password',
            'This school knows no keys.',
            'userconf.txt holds a user and the hash of a password; without it nobody can log in.',
            'Choose a password as well, and put the key in after the first login.',
            $place,
        );
    }

    public static function kernelLineUnknown(Place $place): Finding
    {
        return Finding::warn(
            'card.kernel_line_unknown',
            'What cmdline.txt holds now is not known.',
            'It names the root partition; a file with our parameters alone would not start.',
            'Paste its line, or add ours at the end of it by hand.',
            $place,
        );
    }

    public static function mergeReplaced(string $key, Place $place): Finding
    {
        return Finding::note(
            'card.merge_replaced',
            "“{$key}” in the user-data that was there said something else.",
            'Ours goes before it.',
            '',
            $place,
        );
    }

    public static function noAccount(Place $place): Finding
    {
        return Finding::stop(
            'card.no_account',
            'None of the chosen schools makes an account.',
            'The box starts, and nobody can log in.',
            'Take one that does, such as the declarative files.',
            $place,
        );
    }

    public static function ownTextBlank(Place $place): Finding
    {
        return Finding::stop(
            'card.own_text_blank',
            'This file cannot carry a network name with a blank at its edge.',
            'The blank is lost, and the box looks for another network.',
            'Use another school, or rename the network.',
            $place,
        );
    }

    public static function ownTextOneNetwork(): Finding
    {
        return Finding::note(
            'card.own_text_one_network',
            'This file holds one network; the first is written.',
            'The others can be added on the box\'s own page.',
        );
    }

    public static function sameHostKey(string $name, string $other): Finding
    {
        return Finding::stop(
            'card.same_host_key',
            "{$name} and {$other} have one host key.",
            'One card was copied from the other with its keys: whoever has either can pass for both, and nobody would be warned.',
            'Make new ones on one of them: sudo rm /etc/ssh/ssh_host_* && sudo dpkg-reconfigure openssh-server.',
        );
    }

    public static function schoolNotRead(CardOrder $order, CardSchool $school, Place $place): Finding
    {
        return Finding::stop(
            'card.school_not_read',
            "{$order->image->label} does not understand: {$school->label()}.",
            'What it says does not happen.',
            "Take another; it understands: {$order->image->schools[0]->label()}.",
            $place,
        );
    }

    public static function seriesTooLong(int $held, Ipv4 $first, int $count, Place $place): Finding
    {
        return Finding::stop(
            'card.series_too_long',
            "From {$first} on the network has room for {$held}; wanted: {$count}.",
            'What is handed out by the router or taken is stepped over.',
            'Begin lower, or make fewer.',
            $place,
        );
    }

    public static function wpa3Declarative(WifiNetwork $wifi, Place $place): Finding
    {
        return Finding::stop(
            'card.wpa3_declarative',
            "“{$wifi->ssid}” with WPA3 alone cannot be written into network-config.",
            'netplan up to 0.106 (Debian 12) does not know it and refuses the whole file, so it was left out.',
            'Let the router offer WPA2 as well, or use the boot-partition files.',
            $place,
        );
    }
}
