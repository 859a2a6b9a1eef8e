<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What a plan of upkeep has to say: what is described wrongly, what does not fit, and why. */
final class UpkeepPlanFindings
{
    public static function notAZone(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'upkeep.not_a_zone',
            '“'.Words::typed($typed, 40).'” is no time zone.',
            'Windows are hours of the clock on the wall, and that needs its zone.',
            'Write it as Europe/London.',
            $place,
        );
    }

    public static function notATime(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'upkeep.not_a_time',
            '“'.Words::typed($typed, 40).'” is no time.',
            'Times are Unix seconds or written as 2026-11-26T15:00:00Z.',
            'Write it like that.',
            $place,
        );
    }

    public static function noSuchBox(string $name, Place $place): Finding
    {
        return Finding::stop(
            'upkeep.no_such_box',
            "There is no box {$name} in this file.",
            'Whatever is named here must be among the boxes.',
            'Compare the spelling, or add the box.',
            $place,
        );
    }

    public static function boxTwice(string $name, Place $place): Finding
    {
        return Finding::stop(
            'upkeep.box_twice',
            "{$name} stands there twice.",
            'A box is done once.',
            'Put the two together.',
            $place,
        );
    }

    /** @param  list<string>  $boxes */
    public static function circle(array $boxes): Finding
    {
        return Finding::stop(
            'upkeep.circle',
            'These need one another in a circle: '.implode(', ', array_slice($boxes, 0, 8)).'.',
            'None of them could come first.',
            'Leave out the need that matters least while one of them restarts.',
        );
    }

    public static function doesNotFit(string $box, string $why): Finding
    {
        return Finding::warn(
            'upkeep.does_not_fit',
            "{$box} is not in the plan: {$why}.",
            'What is due stays due.',
            'Give it another window, or plan further ahead.',
        );
    }

    public static function absent(string $box): Finding
    {
        return Finding::note(
            'upkeep.absent',
            "{$box} is not on.",
            'What is due on it falls due when it appears.',
            'Switch it on before the window, if it is to be done then.',
        );
    }

    public static function endsBefore(string $title, ?Place $place): Finding
    {
        return Finding::stop(
            'upkeep.ends_before',
            '“'.Words::typed($title).'” ends before it begins.',
            'A calendar has no place for that.',
            'Change one of the two.',
            $place,
        );
    }

    public static function hoursWant(string $field, string $found, string $do): Finding
    {
        return Finding::stop(
            'upkeep.hours_want',
            $found,
            'The plan keeps out of these hours, or in them.',
            $do,
            Place::field($field),
        );
    }
}
