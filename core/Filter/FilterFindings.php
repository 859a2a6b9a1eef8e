<?php

declare(strict_types=1);

namespace Burrow\Filter;

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
            $unread === 0 ? 'It is empty.' : "{$unread} lines are of no form that is known.",
            'Logs of dnsmasq, unbound and named are read, and CSV whose first line names its columns.',
        );
    }

    public static function breaks(string $name, int $times): Finding
    {
        return Finding::note(
            'filter.breaks',
            "{$name} was answered {$times} times and would be refused.",
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
