<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Filter\Rollout\Counter;
use Burrow\Household\NameCheck;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/filter.md lists them with their sources. */
final class FilterFindings
{
    /** @param  bool  $file  it is a file that was sent */
    public static function typed(string $found, bool $file): Finding
    {
        return Finding::stop(
            'filter.typed',
            $found,
            '',
            $file ? 'A larger one is worked out at the terminal: ./burrow filter.' : '',
        );
    }

    /** @param  list<NameCheck>  $checks  of one resolver, that are not as they should be */
    public static function proofFailed(string $box, array $checks): Finding
    {
        return Finding::warn(
            'filter.proof_failed',
            "{$box} does not answer as it should: ".FilterConcern::named($checks).'.',
            'Either what is listed is reached, or what should be reached is not.',
            "Look whether its service runs on {$box}, and what its lists hold; then ask again.",
        );
    }

    public static function proofOld(string $via, int $days): Finding
    {
        return Finding::note(
            'filter.proof_old',
            "That names are refused as they should was seen by {$via} ".
                Words::counted($days, 'day').
                ' ago for the last time.',
            'Since then a client may have got another resolver, or one of its own.',
            'Ask again.',
        );
    }

    /** @param  non-empty-list<string>  $others */
    public static function besideFilter(array $others): Finding
    {
        return Finding::warn(
            'filter.beside_filter',
            'Beside the filter the router hands out '.implode(' and ', array_slice($others, 0, 4)).'.',
            'A second resolver is no reserve: clients ask both, and half of what is listed gets through.',
            'Hand out filters only; for a reserve set up a second one.',
        );
    }

    public static function oneFilter(string $name): Finding
    {
        return Finding::note(
            'filter.one_filter',
            "{$name} is the only resolver of the house.",
            'While it starts again, or when it dies, the house has no names.',
            'A second of the same kind, or the lights-out sheet on paper beside the router.',
        );
    }

    public static function mayMove(string $name): Finding
    {
        return Finding::warn(
            'filter.may_move',
            "The address of {$name} is neither on its card nor reserved for it.",
            'Clients ask an address, not a name: when it gets another one, the house has no names.',
            'Reserve it in the router, or change its address as a run of its own.',
        );
    }

    public static function listChanged(string $list, int $before, int $now): Finding
    {
        return Finding::warn(
            'filter.list_changed',
            "{$list} holds ".Words::counted($now, 'name').", and held {$before} before.",
            $now < $before
                ? 'A page in its place, a download that broke off, or somebody who gave it up: what it refused gets through.'
                : 'Somebody widened what it is for: something that is used may be on it now.',
            'Look into the file before it goes to the filter.',
        );
    }

    public static function loop(string $name): Finding
    {
        return Finding::stop(
            'filter.loop',
            "{$name} asks the router, and the router asks {$name}.",
            'A question that neither knows goes round until both give up; the house has no names.',
            "Let {$name} ask a resolver outside, or root servers themselves.",
        );
    }

    public static function logSaysMore(string $what, string $told): Finding
    {
        return Finding::warn(
            'filter.log_says_more',
            "The log holds {$what}; the household was told: {$told}.",
            'Who looks up what is nobody’s business without their knowing.',
            'Log less, or tell them.',
        );
    }

    public static function logWears(float $bytesADay): Finding
    {
        return Finding::warn(
            'filter.log_wears',
            'The log writes '.round($bytesADay / 1e6).' MB a day.',
            'On a card that is wear for little: few bytes a line, but a whole block each time one is written.',
            'Keep it in memory or on a drive, or log refusals only.',
        );
    }

    public static function counterFell(): Finding
    {
        return Finding::note(
            'filter.counter_fell',
            'The counter shows less than before.',
            'It began anew, with the service or at midnight.',
            'Note both figures again, one after the other.',
        );
    }

    public static function counterStands(string $when): Finding
    {
        return Finding::warn(
            'filter.counter_stands',
            $when === 'first' ? 'Nobody asks it.' : 'Nobody asked it since.',
            'The client holds its old lease, or a resolver of its own.',
            'Switch its network off and on, look which resolver it has, and open a page it has not seen today.',
        );
    }

    public static function nothingRefused(int $asked): Finding
    {
        return Finding::warn(
            'filter.nothing_refused',
            Words::counted($asked, 'question').' came, and none was refused.',
            'Its lists may be empty, or not loaded.',
            'Ask a listed name, on the page of proof.',
        );
    }

    public static function counterRises(Counter $before, Counter $after): Finding
    {
        $asked = $after->total - $before->total;
        $refused = $after->refused - $before->refused;

        return Finding::fine(
            'filter.counter_rises',
            "{$asked} questions since, {$refused} refused: ".round((100 * $refused) / $asked, 1).' %.',
            'Empty frames where advertisements were are normal.',
        );
    }

    public static function notALease(string $typed, int $least, int $most): Finding
    {
        return Finding::stop(
            'filter.not_a_lease',
            '“'.Words::typed($typed, 20).'” is no lease.',
            'It runs from '.intdiv($least, 60).' minutes to '.intdiv($most, 86_400).' days.',
            'Hours, as the router has them: 24.',
            Place::field('lease_hours'),
        );
    }

    public static function notAnAddress(string $typed): Finding
    {
        return Finding::stop(
            'filter.not_an_address',
            '“'.Words::typed($typed, 40).'” is no address.',
            'A name would have to be looked up first, by the very one who is asked.',
            'Its address, IPv4 or IPv6.',
            Place::field('asks'),
        );
    }

    public static function noTlsName(): Finding
    {
        return Finding::stop(
            'filter.no_tls_name',
            'By which name does its certificate go?',
            'Encrypted to somebody whose name nobody looks at is encrypted to anybody (RFC 8310 6).',
            'The name that stands with its address, such as names.example.net.',
            Place::field('tls_name'),
        );
    }

    /** @param  non-empty-list<string>  $clients */
    public static function neverAsked(array $clients): Finding
    {
        $more = count($clients) - 5;

        return Finding::note(
            'filter.never_asked',
            implode(', ', array_slice($clients, 0, 5)).
                ($more > 0 ? " and {$more} more" : '').
                (count($clients) === 1 ? ' stands' : ' stand').
                ' in the list of clients and never asked.',
            'It was off, or holds a resolver of its own: a fixed one, or one that browsers ask encrypted.',
            'Ask a listed name on it, below.',
        );
    }

    public static function notRead(ListSize $list): Finding
    {
        $first = $list->named[0] ?? null;

        return Finding::note(
            'filter.not_read',
            $list->invalid === 1
                ? "One line of {$list->name} names nothing that a resolver is asked."
                : "{$list->invalid} lines of {$list->name} name nothing that a resolver is asked.",
            'Rules for parts of pages and paths are for browsers; a resolver sees the name only.',
            count($list->named) < 2 ? '' : 'The first are '.implode(', ', $list->named).'.',
            $first === null ? null : Place::file($list->name, $first),
        );
    }

    public static function nothingListed(string $name): Finding
    {
        return Finding::warn(
            'filter.nothing_listed',
            "{$name} lists no name at all.",
            'It may be another kind of file, or a page that says the list has moved.',
            'Look into the file.',
        );
    }

    public static function addsNothing(string $name): Finding
    {
        return Finding::note(
            'filter.adds_nothing',
            "{$name} refuses nothing that the others would not.",
            'In this log every question it refuses is refused without it.',
            'It can go, and with it the memory and the time it takes.',
        );
    }

    public static function nothingAsked(int $unread): Finding
    {
        return Finding::warn(
            'filter.nothing_asked',
            'No question was read from the log.',
            $unread === 0
                ? 'It is empty.'
                : Words::counted($unread, 'line').
                    ($unread === 1 ? ' is' : ' are').
                    ' of no form that is known.',
            'Logs of dnsmasq, unbound and named are read, and CSV whose first line names its columns.',
        );
    }

    public static function breaks(string $name, int $times): Finding
    {
        return Finding::note(
            'filter.breaks',
            "{$name} was answered ".Words::counted($times, 'time').' and would be refused.',
            'Somebody used it; something of theirs may stop working.',
            'If it is missed, let it through as an exception.',
        );
    }

    public static function tooManyLists(int $most): Finding
    {
        return Finding::stop(
            'filter.too_many_lists',
            "More than {$most} lists.",
            'Each is weighed against all others.',
            'Put the small ones into one file.',
        );
    }

    public static function notAName(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'filter.not_a_name',
            '“'.Words::typed($typed).'” is no name that a resolver is asked.',
            'It has at least two labels of letters, digits and hyphens, 63 each and 253 together (RFC 1035 2.3.4).',
            'Write the name alone, without scheme and path.',
            $place,
        );
    }
}
