<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Told\AskedValue;
use Burrow\BringUp\Told\KnownError;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/bringup.md lists them with their sources. */
final class BringUpFindings
{
    public static function benchAway(string $because): Finding
    {
        return Finding::warn(
            'bringup.bench_away',
            $because,
            'The bench is a program of its own.',
            'Start it: ./burrow up.',
        );
    }

    public static function waitBackwards(string $step, Place $place): Finding
    {
        return Finding::stop(
            'bringup.wait_backwards',
            "The longest wait of {$step} is shorter than its shortest.",
            'A range of waits is the shortest and then the longest, in seconds.',
            'Exchange the two, or correct one of them.',
            $place,
        );
    }

    public static function outsideTheHouse(Ipv4 $address): Finding
    {
        return Finding::stop(
            'bringup.outside_the_house',
            "{$address} is outside of the house's network, and was not asked.",
            'Nothing but the addresses of the networks in Settings is ever asked.',
            'Correct the address, or the network in Settings.',
        );
    }

    public static function answerNeeded(string $field): Finding
    {
        return Finding::stop(
            'bringup.answer_needed',
            'The box\'s answer is needed here.',
            'Later commands are filled in from it.',
            'Paste what you saw.',
            Place::field($field),
        );
    }

    public static function typeTheDisk(string $typed, string $name, string $field): Finding
    {
        return Finding::stop(
            'bringup.type_the_disk',
            $typed === '' ? 'Type the disk\'s name to go on.' : "“{$typed}” is not the disk that was found.",
            'The next step wipes it, and that cannot be undone.',
            "It is {$name}.",
            Place::field($field),
        );
    }

    /** @param  non-empty-list<string>  $jobs  labels of the jobs whose steps are missing */
    public static function noPlaybook(array $jobs): Finding
    {
        return Finding::warn(
            'bringup.no_playbook',
            'This run brings the box up, and does not install: '.implode(', ', $jobs).'.',
            'The playbook of '.
                (count($jobs) === 1 ? 'this job' : 'these jobs').
                ' holds no steps of its own yet, so nothing of it will be installed or tried.',
            'After the last step the box stands there, pinned and up to date, and counts as not finished.',
        );
    }

    public static function schoolGone(string $job, string $school, ?string $instead): Finding
    {
        return Finding::warn(
            'bringup.school_gone',
            "{$job}: there is no school “{$school}” any more.",
            $instead === null ? 'So it has no steps.' : "Its steps are those of the school “{$instead}”.",
            'Choose a school in its plan if you want another one.',
        );
    }

    /** @param  positive-int  $open  steps that were passed over and jobs whose playbook was not played to its end */
    public static function unfinished(string $box, int $open): Finding
    {
        return Finding::warn(
            'bringup.unfinished',
            ucfirst($box).
                ' is not finished: '.
                ($open === 1 ? 'one thing was' : Words::number($open).' things were').
                ' left open.',
            'What was passed over was not looked at, and nothing is recorded of it.',
            'Its page lists them, with the reasons.',
        );
    }

    public static function knownError(KnownError $error, string $field): Finding
    {
        return Finding::stop(
            'bringup.known_error',
            $error->found,
            $error->why,
            $error->do,
            Place::field($field),
        );
    }

    public static function notSeen(string $words, string $field): Finding
    {
        return Finding::stop(
            'bringup.not_seen',
            "“{$words}” does not stand in what was pasted.",
            'The step is over when the program says so.',
            'Wait a little and look again, or paste the whole of what it printed.',
            Place::field($field),
        );
    }

    public static function valueNotPrinted(string $label, string $after, string $field): Finding
    {
        return Finding::stop(
            'bringup.value_not_printed',
            ucfirst($label).' does not stand in what was pasted.',
            $after === ''
                ? 'A later command needs it.'
                : "It stands behind “{$after}”, and a later command needs it.",
            'Paste the last lines whole.',
            Place::field($field),
        );
    }

    public static function valueNotFit(AskedValue $asked, string $typed, string $field): Finding
    {
        return Finding::stop(
            'bringup.value_not_fit',
            $typed === ''
                ? "{$asked->label}: nothing was typed."
                : "{$asked->label}: “".mb_strimwidth($typed, 0, 60, '…').'” will not do.',
            'Later commands and files are made with it.',
            "It must be {$asked->kind->wanted()}.",
            Place::field($field),
        );
    }

    public static function stillUnclaimed(): Finding
    {
        return Finding::stop(
            'bringup.still_unclaimed',
            'Its page still asks the first visitor to become its owner.',
            'Whoever opens it next has it.',
            'Go through its first page to the end, then say it here.',
        );
    }

    public static function choiceNeeded(string $field): Finding
    {
        return Finding::stop(
            'bringup.choice_needed',
            'One of the answers is needed.',
            'Only a person can see it.',
            'Choose what you saw.',
            Place::field($field),
        );
    }

    public static function saidNo(string $title, string $do, string $field): Finding
    {
        return Finding::warn(
            'bringup.said_no',
            "{$title}: no.",
            'So the step is not over.',
            $do,
            Place::field($field),
        );
    }

    public static function savedOnly(string $field): Finding
    {
        return Finding::stop(
            'bringup.saved_only',
            'Saved, and not applied.',
            'This page keeps a change aside until its second button is pressed; nothing has happened on the box yet.',
            'Press the second button, wait until the page says that it is done, then choose the other answer.',
            Place::field($field),
        );
    }

    public static function whereKept(string $field): Finding
    {
        return Finding::stop(
            'bringup.where_kept',
            'Say where you put it.',
            'It is shown once. Whoever goes on without it has to set it anew.',
            'The place, never the secret itself: “password manager, entry sieve”.',
            Place::field($field),
        );
    }

    public static function looksSecret(string $field): Finding
    {
        return Finding::stop(
            'bringup.looks_secret',
            'That looks like the secret itself.',
            'Only where it is kept is written down here.',
            'Name the place: “password manager, entry sieve”, “paper in the fuse box”.',
            Place::field($field),
        );
    }

    public static function recoveryWhere(string $field): Finding
    {
        return Finding::stop(
            'bringup.recovery_where',
            'Where do the recovery codes lie?',
            'When the device with the second factor is lost, they are the only way in.',
            'Print them, and say where the paper is.',
            Place::field($field),
        );
    }

    public static function errorDidNotCome(string $expected, string $field): Finding
    {
        return Finding::stop(
            'bringup.error_did_not_come',
            "The expected “{$expected}” does not stand there.",
            'Here an error is the right result: it shows that the guard works.',
            'Paste what was printed, whole. If the command went through, go back to the step before.',
            Place::field($field),
        );
    }

    public static function valueMissing(string $what): Finding
    {
        return Finding::stop(
            'bringup.value_missing',
            "{$what} is not known.",
            'The step that asks for it was passed over.',
            'Take that step back and answer it.',
        );
    }

    /** @param  list<string>  $titles */
    public static function needsFirst(array $titles): Finding
    {
        return Finding::stop(
            'bringup.needs_first',
            'Before this: '.
                implode(', ', array_map(fn (string $title): string => "“{$title}”", $titles)).
                '.',
            'It was passed over, and what is done here rests on it.',
            'Take it back and do it, or pass this step over as well, with the reason.',
        );
    }

    public static function cannotBeWritten(string $kind, string $why, Place $place): Finding
    {
        return Finding::stop(
            'bringup.cannot_be_written',
            "No file of the kind {$kind} can hold these values. {$why}",
            'A file is whole or not at all.',
            'Change the value.',
            $place,
        );
    }
}
