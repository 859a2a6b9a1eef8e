<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What speaks against an inventory, before a move and after it. */
final class InventoryFindings
{
    public static function nothingCounted(string $field): Finding
    {
        return Finding::stop(
            'bringup.nothing_counted',
            'Nothing is counted.',
            'What nobody counted before, nobody misses afterwards, until it is wanted.',
            'Write one thing in a line with its number, as “12 devices”.',
        )->at(Place::field($field));
    }

    /** @param  list<int>  $lines  from 1 */
    public static function lineNotCounted(array $lines, string $field): Finding
    {
        return Finding::stop(
            'bringup.line_not_counted',
            (count($lines) === 1 ? 'Line ' : 'Lines ').
                implode(', ', array_slice($lines, 0, 8)).
                (count($lines) === 1 ? ' says' : ' say').
                ' no thing that can be counted.',
            'A line is a number and what there is of it, or a name.',
            'Write it as “12 devices” or “devices: 12”.',
        )->at(Place::field($field));
    }

    public static function tooMuchCounted(string $field): Finding
    {
        return Finding::stop(
            'bringup.too_much_counted',
            'That is more than is read.',
            'At most 200 lines, and 16 kB.',
            'Count kinds of things rather than each of them.',
        )->at(Place::field($field));
    }

    /** @param  non-empty-list<array{what: string, before: int, after: int}>  $less */
    public static function notAllThere(array $less, string $field): Finding
    {
        $more = count($less) - 8;

        return Finding::stop(
            'bringup.not_all_there',
            'Missing: '.
                implode(
                    ', ',
                    array_map(
                        fn (array $one): string => "{$one['what']} ({$one['after']} of {$one['before']})",
                        array_slice($less, 0, 8),
                    ),
                ).
                ($more > 0 ? ' and '.Words::counted($more, 'more kind') : '').
                '.',
            'A partial backup leaves out what was not ticked; a stick or disk may not be plugged in; an integration may want its login anew.',
            'Find it, or go the way back while the old card is whole. What you do without is passed over with its reason.',
        )->at(Place::field($field));
    }

    /** @param  non-empty-list<array{what: string, before: int, after: int}>  $more  seen from the other side */
    public static function moreThanBefore(array $more): Finding
    {
        return Finding::note(
            'bringup.more_than_before',
            'There is more than before: '.
                implode(
                    ', ',
                    array_map(
                        fn (array $one): string => "{$one['what']} ({$one['before']} after {$one['after']})",
                        array_slice($more, 0, 8),
                    ),
                ).
                '.',
            'What is there twice was set up by hand before the restore, or was counted otherwise.',
            'Look whether one thing is there under two names.',
        );
    }
}
