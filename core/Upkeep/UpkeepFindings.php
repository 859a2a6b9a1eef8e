<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Judgement\Severity;
use Burrow\Quantity\Duration;
use Burrow\Text\Words;
use Burrow\Upkeep\Care\CareDue;
use Burrow\Upkeep\Report\Difference;

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

    /** @param  non-empty-list<Difference>  $open  the gravest first */
    public static function drift(string $box, array $open): Finding
    {
        $more = count($open) - 1;
        $found = $open[0]->found.($more > 0 ? " And {$more} more." : '');

        return $open[0]->severity === Severity::Stop
            ? Finding::stop('upkeep.drift', $found, '', $open[0]->right)
            : Finding::warn(
                'upkeep.drift',
                $found,
                "What {$box} told is not what is written down.",
                'Answer it once, on the page of its report.',
            );
    }

    public static function noReport(string $box, int $days): Finding
    {
        return Finding::warn(
            'upkeep.no_report',
            ucfirst($box).' sent its last report '.Words::counted($days, 'day').' ago.',
            'It sends one each day; its timer, its network or its token stands in the way.',
            "On {$box}: systemctl status burrow-report.timer, journalctl -u burrow-report.",
        );
    }

    /** @param  int  $off  seconds, above zero where its clock is ahead */
    public static function clockOff(string $box, int $off): Finding
    {
        return Finding::warn(
            'upkeep.clock_off',
            "The clock of {$box} is ".
                (string) Duration::seconds(abs($off)).
                ($off > 0 ? ' ahead.' : ' behind.'),
            'Certificates and signatures count as not yet valid or over, and its log tells wrong times.',
            'Let it ask a time server: timedatectl set-ntp true. A board without a battery starts in the past.',
        );
    }

    public static function securityWaits(string $box, int $count): Finding
    {
        return Finding::warn(
            'upkeep.security_waits',
            $count === 1
                ? "One update that mends a hole waits on {$box}."
                : "{$count} updates that mend holes wait on {$box}.",
            'What they mend is known to everybody now.',
            'Bring it up to date, or let it do these by itself.',
        );
    }

    /** @param  non-empty-list<string>  $units */
    public static function unitsFailed(string $box, array $units): Finding
    {
        return Finding::warn(
            'upkeep.units_failed',
            implode(', ', array_slice($units, 0, 3)).
                (count($units) > 3 ? ' and '.(count($units) - 3).' more' : '').
                " failed on {$box}.",
            '',
            "Its own words: journalctl -u {$units[0]} -n 50.",
        );
    }

    public static function undervoltage(string $box): Finding
    {
        return Finding::warn(
            'upkeep.undervoltage',
            ucfirst($box).' had too little voltage since it started.',
            'The supply or its cable does not hold; cards get damaged by it.',
            'Try the cable first, then a supply of the board’s class.',
        );
    }

    public static function restartWaits(string $box): Finding
    {
        return Finding::note(
            'upkeep.restart_waits',
            ucfirst($box).' wants to be started again.',
            'What was brought up to date runs as it was before until then.',
            'In its window: sudo systemctl reboot.',
        );
    }

    public static function careLate(CareDue $due): Finding
    {
        $late = -$due->daysLeft;

        return Finding::note(
            'upkeep.care_late',
            ucfirst($due->what).
                ($due->box === null ? '' : " ({$due->box})").
                ': due '.
                ($late === 1 ? 'yesterday.' : "{$late} days ago."),
            ucfirst($due->evidence).'.',
            'Do it, and say so on the page of upkeep.',
        );
    }

    public static function supportEnds(CareDue $due): Finding
    {
        return $due->daysLeft < 0
            ? Finding::warn(
                'upkeep.support_ended',
                ucfirst((string) $due->box).
                    " runs a release that gets no more updates since {$due->date->format('Y-m-d')}.",
                'What is found from now on stays open.',
                'Set it up anew on a current release, beside the old one.',
            )
            : Finding::note(
                'upkeep.support_ends',
                "The release of {$due->box} gets updates until {$due->date->format('Y-m-d')}.",
                'A move takes an evening, and is better planned than hurried.',
                'Plan it on a current release, with a card of its own.',
            );
    }

    public static function careWants(string $field, string $found): Finding
    {
        return Finding::stop('upkeep.care_wants', $found, '', '', Place::field($field));
    }

    public static function telling(string $field, string $found, string $do): Finding
    {
        return Finding::stop(
            'upkeep.telling',
            $found,
            'What the house says of itself stays in the house, unless its own mail server carries it on.',
            $do,
            Place::field($field),
        );
    }

    public static function noReportInText(): Finding
    {
        return Finding::stop(
            'upkeep.no_report_in_text',
            'No report stands in this text.',
            'It begins with the line “#: made”.',
            'Run the script on the box and paste all it prints.',
            Place::field('report'),
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
            ucfirst($switch).' carries '.Words::counted(count($dark), 'box', 'boxes').'.',
            'One failure, or one hand on the switch, takes them all. A switch is a power cut.',
            'Shut down first, in this order: '.implode(', ', $dark).'.',
        );
    }

    public static function overdue(string $box, string $late): Finding
    {
        return Finding::warn(
            'upkeep.overdue',
            ucfirst($box)." is {$late}.",
            'Known holes stay open until then.',
            'Update it at the next quiet hour.',
        );
    }

    /**
     * @param  string  $late  "3 days past its update"
     * @param  string  $hours  that went by
     * @param  string  $last  day of its last update
     * @param  ?string  $next  when its next hours begin; null where it has none
     */
    public static function hoursMissed(
        string $box,
        string $late,
        string $hours,
        string $last,
        ?string $next,
    ): Finding {
        return Finding::warn(
            'upkeep.hours_missed',
            ucfirst($box)." is {$late}, and its hours went by: {$hours}.",
            "Nothing tells that it was done; its last update is of {$last}.",
            $next === null
                ? 'Give it other hours, or update it by hand.'
                : "Its next hours begin on {$next}, and the plan has it there. If these do not suit anybody, give it others.",
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
