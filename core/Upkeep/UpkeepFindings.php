<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Judgement\Finding;

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
}
