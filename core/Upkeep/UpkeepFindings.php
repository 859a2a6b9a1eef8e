<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/upkeep.md lists them with their sources. */
final class UpkeepFindings
{
    public static function silent(Box $box): Finding
    {
        return Finding::stop(
            'upkeep.silent',
            ucfirst($box->name).' does not answer.',
            "Silent since {$box->hearing->since?->format('D H:i')}. Most often the supply or the cable.",
            'Look at its lights first.',
        );
    }

    /** @param  non-empty-list<Box>  $boxes */
    public static function notAsked(array $boxes): Finding
    {
        return Finding::warn(
            'upkeep.not_asked',
            ucfirst(self::names($boxes)).
                (count($boxes) === 1 ? ' was' : ' were').
                " not asked since {$boxes[0]->hearing->since?->format('D H:i')}.",
            'Boxes are asked every minute as long as the watching runs; what is shown of them is from then.',
            'Start it again: ./burrow up.',
        );
    }

    public static function noStandIn(Box $box): Finding
    {
        return Finding::warn(
            'upkeep.no_stand_in',
            "One box for {$box->servesAll()}, no stand-in.",
            "If {$box->name} dies, nothing here has {$box->servesAll()}.",
            'Plan a second of the same kind.',
        );
    }

    /** @param  list<string>  $dark  names of the boxes, in the order to shut them down */
    public static function sharedSwitch(string $switch, array $dark): Finding
    {
        return Finding::note(
            'upkeep.shared_switch',
            ucfirst($switch).' carries '.count($dark).' boxes.',
            'One failure, or one hand on the switch, takes them all. A switch is a power cut.',
            'Shut down first, in this order: '.implode(', ', $dark).'.',
        );
    }

    public static function overdue(string $box, string $late): Finding
    {
        return Finding::warn(
            'upkeep.overdue',
            ucfirst($box)." is {$late} past its update.",
            'Known holes stay open until then.',
            'Update it at the next quiet hour.',
        );
    }

    public static function dueSoon(string $box, string $when): Finding
    {
        return Finding::note(
            'upkeep.due_soon',
            ucfirst($box)." is due {$when}.",
            'An update takes about ten minutes and a restart.',
            'Choose an hour when nobody needs it.',
        );
    }

    public static function inTime(string $box, string $left): Finding
    {
        return Finding::fine('upkeep.in_time', ucfirst($box)." is in time: due in {$left}.");
    }

    /** @param  non-empty-list<Box>  $boxes */
    private static function names(array $boxes): string
    {
        return implode(', ', array_map(fn (Box $box): string => $box->name, array_slice($boxes, 0, 5))).
            (count($boxes) > 5 ? ' and more' : '');
    }

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
