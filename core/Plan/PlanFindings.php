<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Bought;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Text\Words;

/** What a plan is told of seat, use, money, time and wear, each with its one text; docs/formulas/plan.md: sources. */
final class PlanFindings
{
    public static function bought(Bought $bought): Finding
    {
        return Finding::note('plan.bought', ucfirst($bought->risk).'.', 'Least work, and least to learn.');
    }

    public static function buildLong(Job $job, PlanInput $plan, Duration $waitingFor): Finding
    {
        return Finding::warn(
            'plan.build_long',
            "Building the {$job->label} on the {$plan->board->label} takes {$waitingFor}.",
            'It is built anew at each update, and a build that runs out of memory starts from nothing.',
            'Its package, or a faster board.',
        );
    }

    public static function cardLasts(string $years): Finding
    {
        return Finding::fine('plan.card_lasts', "The card lasts {$years}.");
    }

    public static function cardWearsOut(string $years, float $gigabytesPerDay): Finding
    {
        return Finding::warn(
            'plan.card_wears_out',
            "The card lasts {$years}.",
            'The jobs write '.
                number_format($gigabytesPerDay, 1, '.', '').
                ' GB a day to it, and a worn card loses data without warning.',
            'A solid-state drive instead of the card, or a card made for constant writing.',
        );
    }

    public static function clientNotServed(Job $job, string $client): Finding
    {
        return Finding::warn(
            'plan.client_not_served',
            ucfirst($job->label)." is not used from a {$client}.",
            'What you want to use it from decides the job, before any part: it serves '.
                implode(', ', $job->clients).
                '.',
            'Choose another job or another way of using it.',
        );
    }

    public static function deskHours(DeskComputer $desk, Money $more): Finding
    {
        return Finding::note(
            'plan.desk_hours',
            ucfirst($desk->name).' is on '.round($desk->hours).' hours a day now.',
            "Leaving it on around the clock costs {$more} more a year.",
        );
    }

    public static function deskRestarts(DeskComputer $desk): Finding
    {
        return Finding::warn(
            'plan.desk_restarts',
            ucfirst($desk->name).' restarts by itself for its updates.',
            'An existing computer serves only if it never restarts in the middle of the job.',
            'A box of its own, or restarts by hand only.',
        );
    }

    public static function deskSleeps(DeskComputer $desk): Finding
    {
        return Finding::warn(
            'plan.desk_sleeps',
            ucfirst($desk->name).' goes to sleep by itself, in the middle of the job as well.',
            'What was running stops without a word.',
            'A box of its own, or sleep switched off.',
        );
    }

    public static function deskSleepsUnderService(DeskComputer $desk): Finding
    {
        return Finding::stop(
            'plan.desk_sleeps',
            ucfirst($desk->name).' goes to sleep by itself.',
            'The whole house, or whoever is outside, waits for it then.',
            'A box of its own, or sleep switched off.',
        );
    }

    public static function driveLasts(string $words): Finding
    {
        return Finding::fine('plan.drive_lasts', "The drive lasts {$words}.");
    }

    public static function driveWearsOut(string $words): Finding
    {
        return Finding::warn(
            'plan.drive_wears_out',
            "The drive lasts {$words}.",
            'Sticks and the smallest drives are not made for constant writing.',
            'A solid-state drive with a higher endurance.',
        );
    }

    public static function installTime(Duration $hands, Duration $waiting): Finding
    {
        return Finding::fine('plan.install_time', "Installing: {$hands} of hands, {$waiting} of waiting.");
    }

    public static function neverPays(): Finding
    {
        return Finding::note(
            'plan.never_pays',
            'Running it costs as much as the subscription.',
            'It pays in other ways, or not at all.',
        );
    }

    public static function notAlwaysOn(Job $job, Duty $duty): Finding
    {
        return Finding::warn(
            'plan.not_always_on',
            ucfirst($job->label).' on a box that is not on around the clock: '.$duty->label().'.',
            $job->servesAll !== ''
                ? "Whenever it is off, the house is without {$job->servesAll}."
                : 'Whoever is outside cannot know when it is there.',
            'Let it run around the clock, or give the job to a box that does.',
        );
    }

    public static function oldMachine(BoardClass $board, PlanInput $plan, Money $total, Money $more): Finding
    {
        return Finding::note(
            'plan.old_machine',
            "A {$board->label} costs {$board->price} and is ".
                round($board->speed / $plan->board->speed, 1).
                ' times as fast.',
            "The board with its parts comes to {$total}. It draws more: {$more} a year.",
            'Worth a look when one is at hand and its noise does not matter.',
        );
    }

    public static function paysBack(float $months): Finding
    {
        return Finding::fine(
            'plan.pays_back',
            'Paid back after '.Words::counted((int) ceil($months), 'month').'.',
        );
    }

    /** @param  list<string>  $jobs  the plan's */
    public static function schoolWithoutJob(string $job, array $jobs, Place $place): Finding
    {
        return Finding::stop(
            'plan.school_without_job',
            "A school is chosen for “{$job}”, which is no job of this plan.",
            'It would be passed over without a word.',
            'Jobs of this plan: '.implode(', ', $jobs).'.',
            $place,
        );
    }

    /** @param  list<string>  $known  ids */
    public static function unknownPart(string $kind, string $typed, array $known, Place $place): Finding
    {
        return Finding::stop(
            'plan.unknown_part',
            "There is no {$kind} “{$typed}” in the catalogue.",
            'A plan names entries by their id.',
            'Known: '.implode(', ', $known).'.',
            $place,
        );
    }
}
