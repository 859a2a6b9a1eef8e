<?php

declare(strict_types=1);

namespace App\Card;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of the fields of the card forms, each with its one text; sources: docs/formulas/card.md. */
final class CardFormFindings
{
    public static function imageFileName(string $file, Place $place): Finding
    {
        return Finding::stop(
            'card.image_file_name',
            '“'.$file.'” is not one file name.',
            'The commands are typed in the folder where the image lies.',
            'Its name without a path.',
            $place,
        );
    }

    public static function keyboard(string $keyboard, Place $place): Finding
    {
        return Finding::stop(
            'card.keyboard',
            "“{$keyboard}” is no keyboard layout.",
            'Layouts have two small letters, such as gb, us or de.',
            'Type two letters.',
            $place,
        );
    }

    public static function keyboardUnknown(string $keyboard, Place $place): Finding
    {
        return Finding::warn(
            'card.keyboard_unknown',
            "There is no keyboard layout “{$keyboard}” among the usual ones.",
            'The box falls back to the American layout, and the password typed at its screen is another one then.',
            'Layouts are called by countries: gb, us, de, fr …',
            $place,
        );
    }

    public static function noLogin(Place $place): Finding
    {
        return Finding::stop(
            'card.no_login',
            'Nobody could log in.',
            'A box without screen and keyboard needs a key or a password from the start.',
            'Paste a public key, or choose a password.',
            $place,
        );
    }

    public static function notLookedAt(string $name, int $size, Place $place): Finding
    {
        return Finding::warn(
            'card.not_looked_at',
            "{$name} was not looked at: ".
                ($size > CardZip::LARGEST
                    ? 'it is larger than '.intdiv(CardZip::LARGEST, 1024).' KiB.'
                    : 'it cannot be read.'),
            'Whatever is said of the card is said without it.',
            $size > CardZip::LARGEST ? 'Make it anew.' : 'Look at its owner and rights.',
            $place,
        );
    }

    public static function targetNotTyped(Place $place): Finding
    {
        return Finding::stop(
            'card.target_not_typed',
            'That is not the name of this disk.',
            'The commands are shown when it was typed letter by letter.',
            'Compare it with the name above.',
            $place,
        );
    }

    public static function targetWithoutName(Place $place): Finding
    {
        return Finding::stop(
            'card.target_without_name',
            'The list holds no name that stays this disk\'s own.',
            'Its letter or number may belong to another disk after the next replugging.',
            'Make the list with the command as it is shown, its second line too.',
            $place,
        );
    }

    public static function timeZone(string $timeZone, Place $place): Finding
    {
        return Finding::stop(
            'card.time_zone',
            "“{$timeZone}” is no time zone.",
            'It is a region and a city; a bare offset has no summer time and is wrong half the year.',
            'Choose one from the list.',
            $place,
        );
    }

    public static function wifiSecurity(Place $place): Finding
    {
        return Finding::stop(
            'card.wifi_security',
            'How is this network kept?',
            'The file says it in so many words.',
            'Choose one of the list.',
            $place,
        );
    }
}
