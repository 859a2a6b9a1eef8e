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
            ucfirst($box)." sent its last report {$days} days ago.",
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
                "{$due->box} runs a release that gets no more updates since {$due->date->format('Y-m-d')}.",
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

    public static function needsLeftOut(string $box, string $needs, string $why): Finding
    {
        return Finding::warn(
            'upkeep.needs_left_out',
            "{$box} depends on {$needs}, which was left out: {$why}",
            'Whether that one works was not seen in this round.',
            'Look after it first, or leave this one out as well.',
        );
    }

    public static function absentForRound(string $box): Finding
    {
        return Finding::stop(
            'upkeep.absent_for_round',
            "{$box} does not answer.",
            'What it answered before is what it is held against afterwards.',
            'Give it its power, or leave it out; it is due again when it is seen.',
        );
    }

    /** @param  list<int>  $ports */
    public static function notBackYet(string $box, array $ports): Finding
    {
        return Finding::stop(
            'upkeep.not_back_yet',
            (count($ports) === 1 ? 'Port ' : 'Ports ').
                implode(', ', array_slice($ports, 0, 12)).
                " of {$box} answered before and ".
                (count($ports) === 1 ? 'does' : 'do').
                ' not now.',
            'It may still be starting; a service may have stopped for a changed file of its settings.',
            'Wait for the usual time, then look at the service: systemctl status. The next box waits meanwhile.',
        );
    }

    public static function namesNotBack(string $box): Finding
    {
        return Finding::stop(
            'upkeep.names_not_back',
            "{$box} does not answer names again.",
            'The whole house asks it; the next box would find nothing.',
            'Look whether its port 53 is held, and whether it reaches whom it asks.',
        );
    }

    public static function notAnUpgrade(): Finding
    {
        return Finding::stop(
            'upkeep.not_an_upgrade',
            'That is not what an update prints.',
            'Its last lines say how many packages were upgraded.',
            'Paste from “The following packages will be upgraded” to the end, or leave the field empty.',
        );
    }

    public static function windowShort(string $box, int $seconds): Finding
    {
        return Finding::warn(
            'upkeep.window_short',
            "The shortest hours in which work may be done on {$box} are ".
                intdiv($seconds, 60).
                ' minutes.',
            'Fetching, installing and a restart take longer on a small board; what is begun is not broken off.',
            'Say half an hour or more, under The rhythm of the house.',
        );
    }

    /** @param  list<string>  $others */
    public static function unattendedTogether(string $box, array $others, string $what): Finding
    {
        return Finding::warn(
            'upkeep.unattended_together',
            "{$box} and ".
                implode(', ', $others).
                " would update in the same hours, and both serve the house with {$what}.",
            'Where both restart at once the house is without it.',
            'Give them hours on different days.',
        );
    }

    public static function noUnattendedLog(): Finding
    {
        return Finding::stop(
            'upkeep.no_unattended_log',
            'That is not the log of updates that install themselves.',
            'Its lines begin with day and hour, and one of them says “Starting unattended upgrades script”.',
            'Paste what the command beside prints.',
        );
    }
}
