<?php

declare(strict_types=1);

namespace Burrow\Text;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of an entry in YAML, each with its one text; sources: docs/formulas/text.md. */
final class TextFindings
{
    /** @param  list<int|string>  $path  where the value stands */
    public static function controlInValue(array $path, Place $place): Finding
    {
        return Finding::stop(
            'yaml.control_in_value',
            implode('.', $path).' holds a line break or another control character.',
            'In a file or a command the rest of it would be a line of its own.',
            'Write it in one line.',
            $place,
        );
    }

    /** @param  non-empty-list<(int|string)>  $at */
    public static function number(array $at, Place $place): Finding
    {
        return Finding::stop(
            'yaml.number',
            'In “'.implode('.', $at).'”: this is no number that a house has.',
            'Numbers go from a millionth to a million million.',
            'Look at the unit and the decimal point.',
            $place,
        );
    }

    public static function schema(string $where, string $words, Place $place): Finding
    {
        return Finding::stop(
            'yaml.schema',
            "In {$where}: ".$words.'.',
            'The schema of this kind of entry says so.',
            'Export a built-in entry of the same kind to compare.',
            $place,
        );
    }

    /** An entry that is not looked at any further: too large, no YAML, or no entry. */
    public static function refused(string $code, string $found, string $why, string $do, Place $place): Finding
    {
        return Finding::stop($code, $found, $why, $do, $place);
    }
}
