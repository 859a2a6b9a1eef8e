<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Opening;
use Burrow\Household\OutsideName;
use Burrow\Household\Service;
use Burrow\Household\WayIn;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/reach.md lists them with their sources. */
final class ReachFindings
{
    /** @param  non-empty-list<string>  $openings  "8443 tcp" */
    public static function needlessOpening(string $box, array $openings): Finding
    {
        return Finding::warn(
            'reach.needless_opening',
            ucfirst($box).' can be reached from outside.',
            'Its job is not meant for that: '.implode(', ', $openings).'.',
            'Reach it through the tunnel instead.',
        );
    }

    public static function reviewDue(Opening $opening): Finding
    {
        return Finding::note(
            'reach.review_due',
            "The way in to {$opening->box} by {$opening->words()} was to be looked at by {$opening->review?->format(
                'Y-m-d',
            )}.",
            'A way in that nobody needs any more is one that nobody watches.',
            'Close it in the router, or give it another day.',
        );
    }

    public static function nameElsewhere(OutsideName $name): Finding
    {
        $since = $name->wrongSince?->format('Y-m-d H:i');

        return Finding::warn(
            'reach.name_elsewhere',
            $name->ledTo === null
                ? "Nobody knew the name {$name->name} since {$since}."
                : "{$name->name} leads to {$name->ledTo} since {$since}, and the house is at {$name->address}.",
            'Whoever comes in by the name meets nobody, or somebody else’s house.',
            'Look whether what keeps the name current still runs and whether its password was changed; if the address of the house is another one by now, write it down in Settings.',
        );
    }

    /** @param  string  $day  of its end */
    public static function keyEnds(WayIn $way, string $day, bool $past): Finding
    {
        return Finding::warn(
            'reach.key_ends',
            $past
                ? "The key of {$way->device} ended on {$day}."
                : "The key of {$way->device} ends on {$day}.",
            'What uses it stops without a word on that day.',
            'Give it a new one, and take this one back.',
        );
    }

    public static function noSuchPage(string $field): Finding
    {
        return Finding::stop(
            'reach.no_such_page',
            'Which page or port does it open?',
            'A key is taken back where it was made.',
            'Choose it from the list; a port that is missing there is written down under Ports first.',
            Place::field($field),
        );
    }

    public static function notReachable(string $outside, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_reachable',
            '“'.Words::typed($outside).'” is neither a name nor an address that the world could ask.',
            'A name has a dot in it and labels of letters, digits and hyphens (RFC 1035).',
            'Type the name that always leads to the house, or its fixed address.',
            $place,
        );
    }

    public static function notAnAddress(string $typed, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_an_address',
            '“'.Words::typed($typed).'” is no address.',
            'It is four numbers from 0 to 255, or an IPv6 address.',
            'Type it again.',
            $place,
        );
    }

    public static function notAPrefix(string $typed, ?Place $place): Finding
    {
        return Finding::stop(
            'reach.not_a_prefix',
            '“'.Words::typed($typed).'” is no prefix.',
            'It is written at its network address: 172.22.8.0/24 (RFC 4632).',
            'Write it like that.',
            $place,
        );
    }

    public static function awayFor(WayIn $way, int $days): Finding
    {
        return Finding::note(
            'reach.away',
            ($way->lastCame === null
                ? ucfirst($way->device).' was never seen coming in'
                : ucfirst($way->device).' has not come in').
                ' for '.
                Words::counted($days, 'day').
                '.',
            'Its key still opens the house; whoever found the device has it.',
            'Lost? Take the key back. Resting? Then it may stay.',
        );
    }

    public static function notAPort(string $typed, string $field): Finding
    {
        return Finding::stop(
            'reach.not_a_port',
            $typed === '' ? 'There is no port yet.' : '“'.Words::typed($typed).'” is no port.',
            'Ports are numbers from 1 to 65535 (RFC 6335).',
            'Outside and inside may differ; type each.',
            Place::field($field),
        );
    }

    public static function oneProtocol(string $field): Finding
    {
        return Finding::stop(
            'reach.one_protocol',
            'It is either UDP or TCP.',
            '“Both, to be safe” opens a door that nobody needs.',
            'A tunnel wants UDP, a page TCP.',
            Place::field($field),
        );
    }

    public static function wantsWords(string $field, int $most): Finding
    {
        return Finding::stop(
            'reach.wants_words',
            "The {$field} is missing, or longer than {$most} letters.",
            'In a year nobody remembers why it is open, and so nobody dares to close it.',
            'A few words.',
            Place::field($field),
        );
    }

    public static function notADay(string $typed, string $field): Finding
    {
        return Finding::stop(
            'reach.not_a_day',
            $typed === '' ? 'There is no day to look again.' : '“'.Words::typed($typed).'” is no day.',
            'A way in is looked at again from time to time.',
            'Half a year from now is usual; it is written as 2026-12-24.',
            Place::field($field),
        );
    }

    public static function notASource(string $typed, string $field): Finding
    {
        return Finding::stop(
            'reach.not_a_source',
            '“'.Words::typed($typed).'” is neither an address nor a prefix.',
            'Routers that can limit who comes in do it by address.',
            'Leave it empty for anybody, or type 198.51.100.0/24.',
            Place::field($field),
        );
    }

    public static function noSuchBox(string $field): Finding
    {
        return Finding::stop(
            'reach.no_such_box',
            'It leads to no box.',
            'An opening that leads nowhere is still one.',
            'Choose the box it leads to.',
            Place::field($field),
        );
    }

    public static function nothingThere(string $box, int $port, string $protocol, string $field): Finding
    {
        return Finding::warn(
            'reach.nothing_there',
            "Nothing in the record listens at {$port} {$protocol} on {$box}.",
            'Outside and inside ports are easily mixed up.',
            'Look at the ports of the box, or write this one down there.',
            Place::field($field),
        );
    }

    public static function answersOutside(OutsideTest $test, string $day): Finding
    {
        return Finding::stop(
            'reach.answers_outside',
            "Port {$test->port} {$test->protocol} answered from outside on {$day} ({$test->what}).",
            'No opening in the record leads in by it, so anybody in the world may be talking to a box here.',
            'Look at the openings of the router, and whether it lets devices open ports by themselves; close it and try again.',
        );
    }

    public static function shutOutside(OutsideTest $test, string $day): Finding
    {
        return Finding::warn(
            'reach.shut_outside',
            "Port {$test->port} {$test->protocol} did not answer from outside on {$day} ({$test->what}).",
            'The router does not pass it on, a second router or the provider stands before it, or the box does not listen.',
            'Hold the addresses under “The house from outside” against each other, then the opening in the router.',
        );
    }

    public static function opensToAll(Service $service, string $field): Finding
    {
        return Finding::stop(
            'reach.opens_to_all',
            ucfirst($service->purpose)." on {$service->box} is {$service->access?->label()}.",
            'Opened to the world, its first visitor is in.',
            'Set a login there first, and write that down at its port.',
            Place::field($field),
        );
    }
}
