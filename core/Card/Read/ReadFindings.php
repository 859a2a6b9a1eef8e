<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What the readers of first-boot files say of their form, each with its one text; sources: docs/formulas/card.md. */
final class ReadFindings
{
    public static function wpaBlanks(Place $place): Finding
    {
        return Finding::stop(
            'card.wpa_blanks',
            'There is a blank around the “=”.',
            'The line is not understood, and the block or the file is dropped.',
            'Write name=value without blanks.',
            $place,
        );
    }

    public static function wpaDoesNotParse(string $found, Place $place): Finding
    {
        return Finding::stop(
            'card.wpa_does_not_parse',
            $found,
            'The file is dropped as a whole, and the radio joins nothing.',
            'Each block: “network={”, lines of “name=value”, “}”.',
            $place,
        );
    }

    public static function wpaUnknownField(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.wpa_unknown_field',
            "“{$name}” is no field of wpa_supplicant 2.10.",
            'A release that does not know it drops the whole file.',
            'Leave it out when the radio joins nothing.',
            $place,
        );
    }

    public static function wpaFieldMisspelt(string $name, string $meant, Place $place): Finding
    {
        return Finding::stop(
            'card.wpa_unknown_field',
            "“{$name}” is no field of wpa_supplicant.",
            'One unknown field drops the whole file, and the radio joins nothing.',
            "Perhaps “{$meant}” was meant.",
            $place,
        );
    }

    public static function wpaFieldMisplaced(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.wpa_unknown_field',
            "“{$name}” does not belong here.",
            'One field in the wrong place drops the whole file, and the radio joins nothing.',
            WpaFields::ofANetwork()->has($name)
                ? 'It belongs into a block “network={ … }”.'
                : 'It belongs outside of the blocks.',
            $place,
        );
    }

    public static function wpaValue(string $name, string $value, string $takes, Place $place): Finding
    {
        return Finding::stop(
            'card.wpa_value',
            "“{$name}” does not take “".mb_strimwidth($value, 0, 40, '…').'”.',
            'One value of another form drops the whole file, and the radio joins nothing.',
            "It takes {$takes}.",
            $place,
        );
    }

    public static function yamlDoesNotParse(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.yaml_does_not_parse',
            "{$name} cannot be read.",
            'The whole file is ignored on the box, not only this line.',
            'Look at the indentation, the colons and the quotes here and one line above.',
            $place,
        );
    }

    public static function yamlEmpty(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.yaml_empty',
            "{$name} says nothing.",
            'Every line is empty or a comment.',
            'Take the comment marks away, or write the file anew.',
            $place,
        );
    }

    public static function yamlKeyTwice(string $doubled, string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.yaml_key_twice',
            "“{$doubled}” stands twice in {$name}.",
            'On the box the last one wins, and everything under the first is lost without a word.',
            'Join the two into one.',
            $place,
        );
    }

    public static function yamlTab(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.yaml_tab',
            "A tab stands in {$name} where only spaces may.",
            'YAML forbids it there; the whole file is ignored on the box.',
            'Replace it with spaces.',
            $place,
        );
    }
}
